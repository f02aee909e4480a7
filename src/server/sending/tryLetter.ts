import { readMailboxes } from '../../core/addressing/addresses';
import { imageSources } from '../../core/fill/write/images';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import type { Database } from '../../data/database';
import {
  beginHandover,
  concludeTry,
  releaseClaim,
  type Outcome,
  type OutgoingLetter,
} from '../../data/repositories/outgoing';
import { picturesOfBusiness } from '../../data/repositories/pictures';
import { noteTrouble } from '../../data/repositories/sendingTrouble';
import { compose } from '../../post/compose';
import type { HandOver, MailConnection } from '../../post/mailConnection';
import { now } from '../clock';

/** Seconds until each further try after a refusal for now; after the last the letter has failed. */
const TRY_AGAIN_SECONDS = [3, 6, 15, 60, 300, 900, 3600, 3600, 7200, 14_400, 28_800, 57_600, 57_600];

const UNKNOWN: Outcome = {
  status: 'may have arrived',
  detail:
    'The connection ended while the mail server was taking the letter, before it said whether it had. Ask the client, or look among what your mailbox has sent.',
};

/**
 * Tries a claimed letter once and writes down what became of it.
 * @param trial whether it is tried to see if a trouble is over
 * @returns whether the server was met, so that no trouble of its sender is left
 */
export async function tryLetter(
  database: Database,
  connection: MailConnection,
  letter: OutgoingLetter,
  trial: boolean,
): Promise<boolean> {
  // A worker was stopped while the server took the letter: sending it again could deliver it twice.
  const conclude = (outcome: Outcome) =>
    written(() => concludeTry(database, letter, outcome, new Date(now())));
  if (letter.handed_over_at) {
    await conclude(UNKNOWN);
    return false;
  }
  const handed = await handOver(database, connection, letter).catch(async (error: unknown) => {
    await written(() => releaseClaim(database, letter));
    throw error;
  });
  if (handed.result === 'no server' || handed.result === 'no sender') {
    const sender = handed.result === 'no server' ? '' : letter.from_address;
    await written(() => noteTrouble(database, sender, handed.words, trial));
    await written(() => releaseClaim(database, letter));
    return false;
  }
  await conclude(outcomeOf(handed, letter.tries));
  return true;
}

/** Pauses between the tries to write down what became of a letter, in milliseconds: the database may be away a while. */
const WRITE_AGAIN = [100, 500, 1000, 2000, 4000, 8000, 15_000, 30_000];

async function written(work: () => Promise<void>, tries = 0): Promise<void> {
  try {
    return await work();
  } catch (error) {
    const pause = WRITE_AGAIN[tries];
    if (pause === undefined) throw error;
    await new Promise((resolve) => setTimeout(resolve, pause));
    return written(work, tries + 1);
  }
}

async function handOver(
  database: Database,
  connection: MailConnection,
  letter: OutgoingLetter,
): Promise<HandOver> {
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
    ...(html ? { html } : {}),
    language: letter.language ?? SCHEMA_DEFAULTS.locale,
    pictures: await picturesOfBusiness(database, letter.business_id, imageSources(html)),
  });
  const envelope = { from: letter.from_address, to: letter.recipients.map(({ address }) => address) };
  return connection.handOver(envelope, message, () => beginHandover(database, letter));
}

type OfLetter = Exclude<HandOver, { result: 'no server' | 'no sender' }>;

function outcomeOf(handed: OfLetter, tries: number): Outcome {
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
      const again = TRY_AGAIN_SECONDS[tries - 1];
      return again === undefined
        ? { status: 'failed', detail: handed.words }
        : { status: 'going', detail: handed.words, again };
    }
  }
}

function addresses({ recipients }: OutgoingLetter, role: 'to' | 'copy') {
  return recipients.filter((one) => one.role === role).map(({ name, address }) => ({ name, address }));
}
