import type { ReportedDelivery } from './reportedDelivery';

/** What the enhanced status codes say (RFC 3463 and those registered since), in words for whoever wrote; the longest that fits counts. */
const REASONS: readonly (readonly [code: string, words: string])[] = [
  ['1.1', 'There is no such address.'],
  ['1.2', 'There is no such place for mail: what stands behind the @ is wrong.'],
  ['1.3', 'The address is not written as one.'],
  ['1.6', 'Whoever had this address has moved and left no other.'],
  ['1.10', 'What stands behind the @ takes no mail.'],
  ['2.1', 'The mailbox takes no mail any more.'],
  ['2.2', 'The mailbox is full.'],
  ['2.3', 'The letter is too large for the mailbox.'],
  ['3.4', 'The letter is too large for the server.'],
  ['4.1', 'The server did not answer.'],
  ['4.4', 'No server takes mail for what stands behind the @.'],
  ['4.7', 'It was tried for too long.'],
  ['7.1', 'The server does not take letters from here, or takes them for unwanted ones.'],
  ['7.26', 'The server could not tell that the letter is from whom it says.'],
  ['7', 'The server does not take such letters.'],
];

/** Words of servers that give no code, or the general one. */
const SAID: readonly (readonly [said: RegExp, words: string])[] = [
  [
    /user unknown|unknown user|no such (?:user|mailbox|recipient|address|person)|does(?:n[’']t| not) exist|mailbox (?:unavailable|not found)|recipient (?:not found|unknown)|invalid (?:recipient|mailbox)|no mailbox here|empfänger unbekannt|inconnu/iu,
    'There is no such address.',
  ],
  [
    /(?:mailbox|quota|storage).{0,40}(?:full|exceed)|over ?quota|full mailbox|postfach.{0,20}voll/iu,
    'The mailbox is full.',
  ],
  [
    /(?:host|domain).{0,40}(?:not found|unknown|does not exist)|no such domain|unrouteable|name service error|nxdomain/iu,
    'There is no such place for mail: what stands behind the @ is wrong.',
  ],
  [/grey-?list|try (?:it )?(?:again|later)|temporar/iu, 'The server asks to try again later.'],
  [
    /spam|blocked|blacklist|block ?list|reputation|policy|junk/iu,
    'The server does not take letters from here, or takes them for unwanted ones.',
  ],
  [/too (?:large|big)|size (?:limit|exceed)|exceeds.{0,30}size/iu, 'The letter is too large for the server.'],
  [
    /disabled|inactive|suspended|no longer (?:active|in use|available)/iu,
    'The mailbox takes no mail any more.',
  ],
  [/timed? ?out|connection refused|could not connect|no answer/iu, 'The server did not answer.'],
];

/** Why a letter came back or waits, in words; what the server said stands beside them. */
export function refusalInWords({ status, words }: Pick<ReportedDelivery, 'status' | 'words'>): string {
  const code = status.slice(2);
  const byCode = REASONS.filter(([one]) => code === one || code.startsWith(`${one}.`)).sort(
    ([a], [b]) => b.length - a.length,
  )[0]?.[1];
  // 5.0.0 and 5.7.1 are said of nearly everything: what was said in words is nearer.
  const bySaid = SAID.find(([said]) => said.test(words))?.[1];
  if (code === '7.1' || !byCode) return bySaid ?? byCode ?? 'The server gives no reason that says much.';
  return byCode;
}
