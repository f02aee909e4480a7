import { addressIn, type ReportedDelivery } from './reportedDelivery';
import type { IncomingMail } from './incomingMail';

/** Whoever writes such reports calls itself so. */
const DAEMON =
  /^(?:mailer-daemon|mail-daemon|maildaemon|postmaster|mdaemon|bounces?|mail[- ]?delivery[- ]?\w*)(?:[-+.]|@|$)/i;

/** How the subjects of reports read, in the languages of many servers. */
const SUBJECT =
  /undeliver(?:ed|able)|un-?deliverable|delivery (?:status|has failed|failure|problem|incomplete|delayed)|delayed delivery|mail delivery (?:failed|failure|system)|returned mail|returning message to sender|failure notice|could not be delivered|not delivered|delivery notification|unzustellbar|zustell(?:ung|fehler)|nicht zugestellt|échec (?:de )?(?:la )?(?:remise|livraison)|non remis|no se ha podido entregar|error de entrega|mancato recapito|niet bezorgd|onbestelbaar|olevererbar/iu;

/** Words of a report on a letter that is still tried. */
const DELAYED =
  /will (?:be retried|continue to (?:be )?(?:try|attempt\p{L}*|retr\p{L}*))|still being (?:tried|retried)|delayed|has not (?:yet )?been delivered|not yet been delivered|keep trying|retry(?:ing)? (?:for|until)|you do not need to resend|temporar(?:y|ily)|verzögert|wird weiter(?:hin)? versucht/iu;

/** Where the message itself begins that the report is about: nothing of it is the server's. */
const RETURNED =
  /^(?:-{2,}.*(?:original|copy of|headers?|nachricht|begin).*|.*(?:this is a copy of (?:the|your) message|below this line is a copy of the message|the original message follows|returned (?:message|text) (?:follows|below)).*|(?:return-path|received): .*)$/imu;

const ADDRESS = /[^\s<>()[\]:;,"'\\|`]{1,64}@[a-z0-9](?:[a-z0-9-]*[a-z0-9])?(?:\.[a-z0-9-]+)+/giu;

/** So much of a report is read; servers say what happened at its beginning. */
const READ = 20_000;
const MOST = 50;

/**
 * A report of a server that writes words alone: it calls itself a daemon or has no sender, and its subject or a header says
 * what it is. Gives every address that it names with what it says of that; undefined where the message is no report.
 */
export function readReportInWords(mail: IncomingMail): ReportedDelivery[] | undefined {
  const failed = (mail.headers.get('x-failed-recipients') ?? [])
    .flatMap((line) => line.split(','))
    .map(addressIn);
  if (!isReport(mail, failed)) return undefined;
  const text = mail.text.slice(0, READ);
  const said = text.slice(0, RETURNED.exec(text)?.index ?? text.length);
  const own = new Set([mail.from?.address, ...mail.to.map(({ address }) => address)]);
  const named = [...said.matchAll(ADDRESS)].map(([address]) => addressIn(address));
  const addresses = failed.length
    ? failed
    : named.filter((address) => !own.has(address) && !isDaemon(address));
  const words = saidOf(said);
  const [status = ''] =
    /\b[245]\.\d{1,3}\.\d{1,3}\b/.exec(words) ?? /\b[45]\.\d{1,3}\.\d{1,3}\b/.exec(said) ?? [];
  const isLater = status ? status.startsWith('4') : DELAYED.test(said) && !/\b5\d\d[ -]/.test(said);
  const state = isLater ? 'delayed' : 'bounced';
  const all = [...new Set(addresses)].slice(0, MOST);
  return (all.length ? all : ['']).map((address) => ({ address, state, status, words }));
}

function isReport({ from, headers, subject }: IncomingMail, failed: readonly string[]): boolean {
  const isByDaemon =
    isDaemon(from?.address ?? '') || /mailer-daemon|mail delivery (?:sub)?system/i.test(from?.name ?? '');
  const hasNoSender = headers.get('return-path')?.[0]?.trim() === '<>';
  if (failed.length && (isByDaemon || hasNoSender)) return true;
  return (isByDaemon || hasNoSender) && SUBJECT.test(subject);
}

function isDaemon(address: string): boolean {
  return DAEMON.test(address);
}

/** The line in which the server gives its reason: one with a code, else with what usually is said. */
function saidOf(text: string): string {
  const lines = text.split(/\r?\n/).map((line) => line.trim());
  const at = lines.findIndex(
    (line) => /\b[45]\d\d[ -]+\S|\b[45]\.\d{1,3}\.\d{1,3}\b/.test(line) && /\p{L}{3}/u.test(line),
  );
  const found =
    at >= 0
      ? // A server's answer may go on in the next line.
        [lines[at], /[.!]$/.test(lines[at]!) ? '' : (lines[at + 1] ?? '')].join(' ')
      : (lines.find((line) =>
          /user unknown|no such|does not exist|unknown|full|quota|rejected|refused|denied|timed? ?out/i.test(
            line,
          ),
        ) ?? '');
  return found.replace(/\s+/g, ' ').trim().slice(0, 500);
}
