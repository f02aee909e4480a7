import { domainOf, readMailboxes } from '../../core/addressing/addresses';
import { openedMark } from '../../core/incoming/openedMark';
import { withReplyMark } from '../../core/incoming/replyMark';
import { imageSources } from '../../core/fill/write/images';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import type { Database } from '../../data/database';
import type { TryOutcome, OutgoingLetter } from '../../data/repositories/sending/outgoing';
import { picturesOfBusiness } from '../../data/repositories/files/pictures';
import { attachmentsOf } from '../../data/repositories/sending/attachments';
import { compose } from '../../post/compose';
import type { HandOver } from '../../post/mailConnection';
import { Stopped } from '../../post/mailConnections';
import { NoKey } from '../sealing/keyring';
import type { Ledger } from './ledger';
import { signLetter } from './signLetter';
import { AccountChanged, type WaysOut } from './waysOut';

/** Seconds until each further try after a refusal for now, an hour until the TRIED_LONG-th; after two days the letter has failed. */
const TRY_AGAIN_SECONDS = [3, 6, 15, 60, 300, 900, 2316, 3600, 3600, 7200, 14_400, 28_800, 57_600, 54_000];

const UNKNOWN: TryOutcome = {
  status: 'may have arrived',
  detail:
    'The connection ended while the mail server was taking the letter, before it said whether it had. Ask the client, or look among what your mailbox has sent.',
};

/** A letter that was begun so often without coming to an end, as when its worker fails with it each time, has failed. */
const MOST_TRIES = TRY_AGAIN_SECONDS.length + 7;

const GIVEN_UP = 'It was tried many times, and each time something failed before the mail server had it.';

/** What a letter is sent with. */
export interface SendingMeans {
  database: Database;
  ledger: Ledger;
  waysOut: WaysOut;
}

/**
 * Tries a claimed letter once and writes down what became of it.
 * @param trial whether it is tried to see if a trouble is over
 * @returns whether the server was met, so that no trouble of its sender is left
 */
export async function tryLetter(
  sending: SendingMeans,
  letter: OutgoingLetter,
  trial: boolean,
): Promise<boolean> {
  const { ledger } = sending;
  // A worker was stopped while the server took the letter: sending it again could deliver it twice.
  if (letter.handed_over_at) {
    await ledger.conclude(letter, UNKNOWN);
    return false;
  }
  if (letter.tries > MOST_TRIES) {
    await ledger.conclude(letter, { status: 'failed', detail: GIVEN_UP });
    return false;
  }
  const handed = await handOver(sending, letter).catch(async (error: unknown) => {
    if (error instanceof Unwritable) return { result: 'never', words: error.message } as const;
    if (error instanceof NoKey) return { result: 'no server', words: error.message } as const;
    const stopped = error instanceof Stopped || error instanceof AccountChanged;
    await ledger.release(letter, { tried: !stopped });
    if (stopped) return undefined;
    throw error;
  });
  if (!handed) return false;
  if (handed.result === 'no server' || handed.result === 'no sender') {
    const sender = handed.result === 'no server' ? '' : letter.from_address;
    await ledger.trouble({ account_id: letter.account_id, sender }, handed.words, trial);
    await ledger.release(letter, { tried: false });
    return false;
  }
  await ledger.conclude(letter, outcomeOf(handed, letter.tries));
  return true;
}

async function handOver(
  { database, ledger, waysOut }: SendingMeans,
  letter: OutgoingLetter,
): Promise<HandOver> {
  const connections = await waysOut.of(letter);
  const html = letter.html ?? '';
  const unsigned = composed({
    messageId: `<${letter.message_id}>`,
    date: letter.at,
    from: { name: letter.from_name ?? '', address: letter.from_address },
    to: addresses(letter, 'to'),
    copies: addresses(letter, 'copy'),
    replyTo: answeredTo(letter),
    ...(letter.thread.length ? { thread: letter.thread } : {}),
    ...(letter.quoted ? { quoted: letter.quoted } : {}),
    ...openedAt(letter),
    subject: letter.subject,
    text: letter.text,
    ...(letter.signature_at === null ? {} : { signatureAt: letter.signature_at }),
    ...(html ? { html } : {}),
    language: letter.language ?? SCHEMA_DEFAULTS.locale,
    pictures: await picturesOfBusiness(database, letter.business_id, imageSources(html)),
    attachments: letter.has_files ? await attachmentsOf(database, letter) : [],
  });
  const message = letter.is_signed ? await signLetter(database, letter, unsigned) : unsigned;
  // What comes back says by it which letter it is about.
  const back = letter.envelope_address ?? letter.from_address;
  const from = letter.marks_replies ? withReplyMark(back, letter.id) : back;
  const to = letter.recipients.map(({ address }) => address);
  // Where they do not come in here, they would fill somebody's mailbox.
  const envelope = { from, to, reports: letter.marks_replies };
  return connections.handOver(envelope, message, () => ledger.begin(letter));
}

/** What is written down cannot be made into a message: trying again helps nothing. */
class Unwritable extends Error {}

function composed(letter: Parameters<typeof compose>[0]): Buffer {
  try {
    return compose(letter);
  } catch (error) {
    console.error(error);
    throw new Unwritable('It cannot be made into a message. Write it anew.');
  }
}

type OfLetter = Exclude<HandOver, { result: 'no server' | 'no sender' }>;

function outcomeOf(handed: OfLetter, tries: number): TryOutcome {
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

/** The small picture by which it tells that it is shown, where that is wanted and can be fetched. */
function openedAt(letter: OutgoingLetter): { openedAt?: string } {
  const { APP_URL } = process.env;
  return letter.asks_opened && APP_URL ? { openedAt: `${APP_URL}/opened/${openedMark(letter)}` } : {};
}

/** Where it is answered to; an address of the sender's own place says which letter is answered. */
function answeredTo({ id, reply_to, from_name, from_address, marks_replies }: OutgoingLetter) {
  const wanted = (readMailboxes(reply_to ?? '') ?? []).map(({ name, email }) => ({ name, address: email }));
  if (!marks_replies || wanted.length > 1) return wanted;
  const [to = { name: from_name ?? '', address: from_address }] = wanted;
  const isOurs = domainOf(to.address) === domainOf(from_address);
  return isOurs ? [{ ...to, address: withReplyMark(to.address, id) }] : wanted;
}

function addresses({ recipients }: OutgoingLetter, role: 'to' | 'copy') {
  return recipients.filter((one) => one.role === role).map(({ name, address }) => ({ name, address }));
}
