import type { Deriving } from '../records/derive/derivations';
import type { RecordBook } from '../records/recordBook';
import type { Situation } from '../records/which/situation';
import type { Formats } from './formats/formats';
import type { Hole, Note } from './filled';
import type { KeptWords } from './keptOfBusiness';
import type { PageWriter, WordWriter } from './write/writer';

/** One filling under way: what was compiled reads from it and writes into it. */
export interface Run extends Deriving {
  situation: Situation;
  book: RecordBook;
  formats: Formats;
  /** the values that sections stand in, outermost first */
  frames: Frame[];
  /** names this round of the sections around; undefined until it is asked for */
  round: string | undefined;
  /** by name; a blank without an answer or default is absent */
  answers: ReadonlyMap<string, unknown>;
  /** what fields are read from, by slot, as far as it was found: records, or where a path begins with none what it begins with */
  owners: unknown[];
  /** what notes say of these, by slot */
  origins: (Origin | undefined)[];
  /** what fields of the business said in the letters before, by number */
  kept: (KeptWords | undefined)[];
  /** absent where nobody asks for them */
  notes: Note[] | undefined;
  holes: Hole[];
  /** where words go: the subject's line or the page */
  words: WordWriter;
  page: PageWriter;
}

/** Where a fact comes from. */
export interface Origin {
  /** `invoice:K-101` */
  record: string | undefined;
  /** why it is this one */
  reason: string;
}

/** The value a section stands in; inside a listing also which one of how many. */
export interface Frame {
  value: unknown;
  index: number;
  count: number;
}

/** Names a place in the letter: the part of the template it comes from, and the rounds of the sections around it. */
export function placeId(part: string, run: Run): string {
  return run.frames.length === 0 ? part : part + (run.round ??= roundOf(run));
}

/** Tells one round of the sections from the others. A line or payment has no key: its place in the invoice tells it. */
function roundOf({ frames, situation }: Run): string {
  let round = '';
  for (const { value, index } of frames) {
    const key = (value as { key?: string } | null)?.key;
    round += '.' + (key ?? (situation.invoice?.record.key ?? '') + '#' + index);
  }
  return round;
}

/** Compiled from a part of a template: writes what it says. */
export type Emit = (run: Run) => void;
