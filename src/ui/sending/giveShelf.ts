import type { SendAnswer, TakeBackAnswer } from '../../core/contract/letters';
import type { Refusal } from '../../core/contract/refusal';
import { dropDraft } from '../drafts/drafts';
import { askServer, type Answer } from '../writing/askServer';
import { handoverOf } from './handover';
import { noteOnShelf, PATIENCE, shelfOf, takeOffShelf, type ShelvedLetter } from './shelf';

const LOCK = 'fair-quill shelf';

/**
 * What is between us and the server answers so, or the server for a moment; or nobody is signed in, or somebody else: it is asked
 * again.
 */
const ANOTHER_TIME = new Set([401, 403, 408, 429, 500, 502, 503, 504]);

function isAnotherTime<T>(answer: Answer<T>): answer is { offline: true } {
  return 'offline' in answer || ANOTHER_TIME.has(answer.status);
}

/** What this page gives at the moment: whoever wants it given meanwhile waits for the same. */
let underWay: Promise<void> | undefined;

/**
 * Gives the server what its writer has sent without a connection, one after the other. The server takes a letter once, by its id,
 * however often it is given.
 * @param owner whose letters
 */
export function giveShelf(owner: string): Promise<void> {
  underWay ??= giveInTurn(owner).finally(() => {
    underWay = undefined;
  });
  return underWay;
}

/** One page of the device at a time. */
async function giveInTurn(owner: string): Promise<void> {
  await (navigator.locks ? navigator.locks.request(LOCK, () => give(owner)) : give(owner));
}

async function give(owner: string): Promise<void> {
  for (const letter of await shelfOf(owner)) {
    if (letter.refused || letter.kept) continue;
    const answered = letter.takenBack ? await takeBack(letter) : await giveOne(letter);
    if (!answered) return;
  }
}

/** @returns false: at another time */
async function giveOne({ letter, to, draftKey }: ShelvedLetter): Promise<boolean> {
  const answer = await askServer<SendAnswer | Refusal>(to, letter, 'POST', PATIENCE);
  if (isAnotherTime(answer)) return false;
  const now = handoverOf(answer, letter.id);
  if (now.state === 'kept') {
    // It was given once before, and the answer lost with the connection.
    const { already: _, ...kept } = now;
    await dropDraft(draftKey, letter.id);
    await noteOnShelf(letter.id, { kept });
  } else if (now.state === 'writing' && now.problem) await noteOnShelf(letter.id, { refused: now.problem });
  return true;
}

/** The server may have had it before the connection went: then it is taken back there, if there is time. */
async function takeBack({ letter: { id } }: ShelvedLetter): Promise<boolean> {
  const answer = await askServer<TakeBackAnswer>(`/api/letters/${id}/take-back`, {}, 'POST', PATIENCE);
  if (isAnotherTime(answer)) return false;
  const { status } = answer.body;
  // The server has never had it, or has taken it back.
  if (status === undefined || status === 'taken back') await takeOffShelf(id);
  else await noteOnShelf(id, { kept: { state: 'kept', letter: id, status } });
  return true;
}
