import {
  beginHandover,
  claimLetter,
  concludeTry,
  type Outcome,
  type OutgoingLetter,
} from '../data/repositories/outgoing';
import type { Database } from '../data/database';
import { picturesOfBusiness } from '../data/repositories/pictures';
import { readMailboxes } from '../core/addressing/addresses';
import { imageSources } from '../core/fill/write/images';
import { SCHEMA_DEFAULTS } from '../core/records/defaults';
import { compose } from '../post/compose';
import { handOver, type HandOver, type MailServer } from '../post/handOver';
import { now } from './clock';

/** Seconds until each further try after a temporary refusal; after the last the letter has failed. */
const TRY_AGAIN_SECONDS = [3, 6, 15, 60, 300, 900, 3600, 3600, 7200, 14_400, 28_800, 57_600, 57_600];

/**
 * Sends letters whose time has come, one after another; with an id that one only. Any number of processes may do so
 * at once: each letter is claimed by one.
 */
export async function sendDueLetters(
  database: Database,
  server: MailServer,
  id?: string,
): Promise<Date | undefined> {
  let again: Date | undefined;
  for (;;) {
    const letter = await claimLetter(database, id);
    if (!letter) return again;
    const outcome = await tryOnce(database, server, letter);
    await concludeTry(database, letter, outcome, new Date(now()));
    if (outcome.status === 'going') again = outcome.again;
    if (id !== undefined) return again;
  }
}

async function tryOnce(database: Database, server: MailServer, letter: OutgoingLetter): Promise<Outcome> {
  // A worker was stopped while the server took the letter: sending it again could deliver it twice.
  if (letter.handed_over_at) return UNKNOWN;
  const html = letter.html ?? '';
  const message = await compose({
    messageId: `<${letter.message_id}>`,
    date: letter.at,
    from: { name: letter.from_name ?? '', address: letter.from_address },
    to: addresses(letter, 'to'),
    copies: addresses(letter, 'copy'),
    replyTo: (readMailboxes(letter.reply_to ?? '') ?? []).map(({ name, email }) => ({
      name,
      address: email,
    })),
    subject: letter.subject,
    text: letter.text,
    ...(letter.signature_at === null ? {} : { signatureAt: letter.signature_at }),
    html,
    language: letter.language ?? SCHEMA_DEFAULTS.locale,
    pictures: await picturesOfBusiness(database, letter.business_id, imageSources(html)),
  });
  const envelope = { from: letter.from_address, to: letter.recipients.map(({ address }) => address) };
  return outcomeOf(
    await handOver(server, envelope, message, () => beginHandover(database, letter)),
    letter.tries,
  );
}

const UNKNOWN: Outcome = {
  status: 'failed',
  detail:
    'The sending was interrupted while the mail server was taking the letter. It may have arrived: ask before you write again.',
};

function outcomeOf(handed: HandOver, tries: number): Outcome {
  switch (handed.result) {
    case 'taken': {
      const refused = handed.refused.map(({ address, words }) => `${address} was refused: ${words}`);
      return { status: 'sent', ...(refused.length ? { detail: refused.join(' ') } : {}) };
    }
    case 'never':
      return { status: 'failed', detail: handed.words };
    case 'unknown':
      return UNKNOWN;
    case 'later': {
      const seconds = TRY_AGAIN_SECONDS[tries];
      if (seconds === undefined) return { status: 'failed', detail: handed.words };
      return { status: 'going', detail: handed.words, again: new Date(Date.now() + seconds * 1000) };
    }
  }
}

function addresses({ recipients }: OutgoingLetter, role: 'to' | 'copy') {
  return recipients.filter((one) => one.role === role).map(({ name, address }) => ({ name, address }));
}
