import type { StartingKind } from '../../core/records/recordKind';
import {
  dueLater,
  goLater,
  holdLater,
  takeLater,
  type DueLetter,
  type LaterLetter,
} from '../../data/repositories/sending/laterLetters';
import type { Database } from '../../data/database';
import { now } from '../clock';
import { connection } from '../connection';
import { isDatabaseAway } from '../databaseAway';
import { outgoingOf } from './outgoingOf';
import { readyToGo, type LetterWriter, type WhyNot, type WrittenLetter } from './readyToGo';

/** So many are looked for at once. */
const AT_ONCE = 20;

/**
 * Fills letters for later again whose hour has come, and has them go: what is true then is what their readers read. One in which a fact
 * or what the proof says has changed since waits for a person, and says why.
 * @param database one that works for all businesses
 * @returns whether there were any
 */
export async function sendDueLater(database: Database): Promise<boolean> {
  const due = await dueLater(database, AT_ONCE);
  for (const letter of due) await sendOrHold(letter);
  return due.length > 0;
}

async function sendOrHold({ member, business_id, id }: DueLetter): Promise<void> {
  const letter = { business_id, id };
  try {
    await fillAgain(member, letter);
  } catch (error) {
    if (isDatabaseAway(error)) throw error;
    // It would fail again and again, and nobody would know.
    console.error('A letter for later could not be filled again.', error);
    await connection().inBusiness(business_id, () =>
      holdLater(
        connection(),
        letter,
        'At its hour it could not be filled again. Write on, and see whether it is right.',
        new Date(now()),
      ),
    );
  }
}

async function fillAgain(member: LetterWriter, letter: { business_id: string; id: string }): Promise<void> {
  const database = connection();
  await database.inBusiness(letter.business_id, async () => {
    const later = await takeLater(database, letter);
    if (!later) return;
    const written = writtenLetterOf(later);
    const ready = await readyToGo(member, written);
    const at = new Date(now());
    if ('result' in ready) return holdLater(database, letter, whyItWaits(ready), at);
    await goLater(database, letter, await outgoingOf(member, written, ready), at);
  });
}

/** A letter for later as its writer gave it. */
function writtenLetterOf({
  id,
  starting_kind,
  starting_key,
  template_version,
  choices,
  document,
  facts,
}: LaterLetter): WrittenLetter {
  return {
    id,
    start: { kind: starting_kind as StartingKind, key: starting_key },
    choices,
    templateVersion: template_version,
    document,
    facts,
  };
}

/** Why a letter has not gone at its hour, in words. */
function whyItWaits(why: WhyNot): string {
  switch (why.result) {
    case 'changed': {
      const changed = why.changed.map(({ label, now: is }) =>
        label === undefined ? is : `${label} is now ${is}.`,
      );
      return `At its hour something had changed: ${changed.join(' ')}`;
    }
    case 'stopped':
      return `At its hour the proof had something to say: ${why.stops.join(' ')}`;
    case 'gone':
      return `At its hour its ${why.what} was no longer there.`;
  }
}
