import type { CopyDocument } from '../document/copyDocument';
import { eachNode } from '../document/eachNode';
import { valuesOf } from '../fairCopy/values';
import { typedAnswer } from '../fill/blanks';
import { capital } from '../describe/capital';
import type { Hole, Note } from '../fill/filled';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import { splitReference } from '../records/which/splitReference';
import { workedOut } from './workedOut';
import type { FilledLetter } from './writingDesk';

/** One note of the margin: what a field says, where from and why; or what is missing. */
export interface MarginNote {
  id: string;
  /** the places of a fact that occurs more than once; the first one is `id` */
  ids: string[];
  label: string;
  /** what stands in the letter */
  words: string;
  reason: string;
  record?: string;
  /** its record is one that the letter leads to by itself: with another one there it would read otherwise */
  canBeAnother: boolean;
  /** what the records say, where the writer has put other words; empty where they say nothing */
  was?: string;
  hole?: Hole;
  /** the blank that was answered here, and how: its answer can be changed */
  answered?: { blank: string; typed: string };
  /** how it was worked out, where that is more than looking it up */
  how?: string;
  /** a row of a listing: said when it is asked for */
  inListing: boolean;
}

/** The notes beside a letter as it stands, in the order of reading; a fact that is said twice has one note. */
export function marginOf(document: CopyDocument, filled: FilledLetter): MarginNote[] {
  const notes = new Map(filled.notes.map((note) => [note.id, note]));
  const holes = new Map(filled.holes.map((hole) => [hole.id, hole]));
  const margin: MarginNote[] = [];
  const byFact = new Map<string, MarginNote>();
  for (const place of placesOf(document)) {
    const hole = place.hole ? (holes.get(place.id) ?? unknownHole(place)) : undefined;
    const note = notes.get(place.id);
    if (!hole && !note) continue;
    const was = place.hole || place.words === place.said ? undefined : place.said;
    const fact = hole
      ? `${hole.kind} ${hole.path} ${note?.record ?? ''}`
      : `${note!.path} ${note!.record ?? ''} ${place.words.toLowerCase()} ${was ?? '='}`;
    // A row of a listing has a note of its own: another row is another record.
    const known = place.id.includes('.') ? undefined : byFact.get(fact);
    if (known) known.ids.push(place.id);
    else {
      const one = noteOf(place, note, hole, was, filled);
      byFact.set(fact, one);
      margin.push(one);
    }
  }
  return margin;
}

interface Place {
  id: string;
  words: string;
  said: string;
  hole?: string;
}

function placesOf(document: CopyDocument): Place[] {
  const values = new Map(valuesOf(document).map((value) => [value.id, value]));
  const places = new Map<string, Place>();
  for (const node of eachNode(document)) {
    if (node.type === 'hole') {
      const { id, label } = node.attrs;
      places.set(id, { id, words: label, said: '', hole: label });
    }
    for (const mark of ('marks' in node && node.marks) || []) {
      if (mark.type === 'value') places.set(mark.attrs.id, values.get(mark.attrs.id)!);
    }
  }
  return [...places.values()];
}

function noteOf(
  place: Place,
  note: Note | undefined,
  hole: Hole | undefined,
  was: string | undefined,
  filled: FilledLetter,
): MarginNote {
  const how = note && !hole ? workedOut(note.path, filled.situation) : undefined;
  const label = note && hole?.kind !== 'blank' ? note.said : hole!.label;
  return {
    id: place.id,
    ids: [place.id],
    label,
    words: place.words,
    // “No given name” is its title already.
    reason: hole ? capital(hole.reason.replace(`No ${label}: `, '')) : note!.reason,
    ...(note?.record === undefined ? {} : { record: note.record }),
    canBeAnother: note !== undefined && isLedTo(note, filled),
    ...(was === undefined ? {} : { was }),
    ...(how === undefined ? {} : { how }),
    ...(hole ? { hole } : note && answerOf(note, filled)),
    inListing: place.id.includes('.'),
  };
}

/** A visit that is the next of the client is so whichever one was chosen for the letter, even where it is the same. */
function isLedTo({ record, reason }: Note, { situation }: FilledLetter): boolean {
  if (record === undefined) return false;
  const [kind] = splitReference(record);
  const isOfWork = kind === 'project' || kind === 'booking' || kind === 'invoice';
  return !isOfWork || situation[kind]?.reason === reason;
}

function answerOf({ path, record, raw }: Note, { template, situation }: FilledLetter) {
  const blank = record === undefined ? template.blanks.get(path) : undefined;
  const { currency = SCHEMA_DEFAULTS.currency } = situation.book.business;
  return blank && { answered: { blank: path, typed: typedAnswer(raw, blank.answer, currency) } };
}

/** A hole that was pasted in, or whose template has changed. */
function unknownHole({ id, hole: label = '' }: Place): Hole {
  return {
    id,
    kind: 'field',
    path: label,
    label,
    file: '',
    line: 1,
    column: 1,
    reason: `“${label}” is still missing.`,
  };
}
