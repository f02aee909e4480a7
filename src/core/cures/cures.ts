/** What somebody can do about a letter that did not go as it should. */
export type Cure = 'send' | 'drop' | 'arrived' | 'settle';

/** What takes a cure back, while nothing else has been done with the letter. */
export type Undo = 'hold' | 'doubt' | 'unsettle';

/** A letter that needs somebody is in one of these states, and nobody has dealt with it. */
export const NEEDS_SOMEBODY = ['held', 'failed', 'bounced', 'may have arrived'] as const;

/** A letter that was refused for now so often has been tried for over an hour (server/sending/tryLetter): somebody is told, and it is still tried. */
export const TRIED_LONG = 8;

/** Whether a letter did not go as it should, and nobody has dealt with it. */
export function needsSomebody({
  status,
  settled_by,
  triedLong = false,
}: {
  status: string;
  settled_by: string | null;
  triedLong?: boolean;
}): boolean {
  if (triedLong) return true;
  return settled_by === null && (NEEDS_SOMEBODY as readonly string[]).includes(status);
}

/** What each takes a letter from and to; `dealtWith` where it stays as it is and needs nobody any more. */
export const CURES: Readonly<
  Record<
    Cure | Undo,
    {
      from: readonly string[];
      to?: 'going' | 'taken back' | 'sent' | 'held' | 'may have arrived';
      dealtWith?: boolean;
    }
  >
> = {
  send: { from: ['held', 'failed', 'may have arrived'], to: 'going' },
  drop: { from: ['held'], to: 'taken back' },
  arrived: { from: ['may have arrived'], to: 'sent' },
  settle: { from: ['failed', 'bounced', 'received'], dealtWith: true },
  hold: { from: ['taken back'], to: 'held' },
  doubt: { from: ['sent'], to: 'may have arrived' },
  unsettle: { from: ['failed', 'bounced', 'received'], dealtWith: false },
};

/** A cure as a button and what is said when it is done. A letter that goes again can be taken back like any. */
export interface OfferedCure {
  cure: Cure;
  words: string;
  done: string;
  undo?: Undo;
}

const SETTLE: OfferedCure = { cure: 'settle', words: 'Dealt with', done: 'Dealt with.', undo: 'unsettle' };

const SEND: OfferedCure = { cure: 'send', words: 'Send it now', done: 'Going.' };
const DROP: OfferedCure = { cure: 'drop', words: 'Do not send', done: 'It will not be sent.', undo: 'hold' };

/**
 * The cures of a state, the likeliest first. A letter that can be written on is filled again before it goes: it is never sent as it was
 * when something has changed since.
 */
export function curesOf({
  status,
  canBeWrittenOn = false,
  waits = false,
}: {
  status: string;
  canBeWrittenOn?: boolean;
  /** it came in, and nobody has answered it */
  waits?: boolean;
}): OfferedCure[] {
  switch (status) {
    case 'held':
      return canBeWrittenOn ? [DROP] : [SEND, DROP];
    case 'failed':
      return [{ cure: 'send', words: 'Send it again', done: 'Going.' }, SETTLE];
    case 'bounced':
      return [SETTLE];
    case 'received':
      return waits ? [SETTLE] : [];
    case 'may have arrived':
      return [
        { cure: 'arrived', words: 'It arrived', done: 'Sent.', undo: 'doubt' },
        { cure: 'send', words: 'It did not arrive: send it again', done: 'Going.' },
      ];
    default:
      return [];
  }
}

/** Whether writing the letter anew, with the address as it is now, is a cure. */
export function isWrittenAnew(status: string): boolean {
  return status === 'failed' || status === 'bounced';
}

/** Whether words are a mail server's: they begin with its number (RFC 5321, 4.2). */
export function saidByServer(words: string): boolean {
  return /^\d{3}[ -]/.test(words);
}

/** What is known of a letter in such a state, and what to do about it. The reason is the mail server's, or a person's. */
export function whatIsKnown({ status, reason }: { status: string; reason: string | null }): string[] {
  const byServer = saidByServer(reason ?? '');
  const said = reason ? [byServer ? `The mail server said: ${reason}` : reason] : [];
  switch (status) {
    case 'failed':
      return [byServer ? 'It was refused and has not gone.' : 'It has not gone.', ...said];
    case 'going':
      return ['It has been refused for over an hour, and is still tried.', ...said];
    case 'bounced':
      return ['It came back. See whether the address is right, and write it anew.', ...said];
    default:
      return reason ? [reason] : [];
  }
}
