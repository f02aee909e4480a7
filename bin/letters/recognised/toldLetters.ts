import { answersTo } from '../everyLetter';
import { linesOf } from '../../../src/core/proof/reading/lines';
import { letterText } from '../../../src/core/recognise/letterText';
import { templateWords } from '../../../src/core/recognise/templateWords';
import { plainText } from '../../../src/core/recognise/plainText';
import type { LetterText } from '../../../src/core/recognise/letterText';
import { startsIn } from '../../../src/core/records/startsIn';
import type { Situation, StartingPoint } from '../../../src/core/records/which/situation';
import { isStartingKind } from '../../../src/core/records/recordKind';
import { splitReference } from '../../../src/core/records/which/splitReference';
import { situationFrom } from '../../../src/core/records/which/situation';
import type { WritingDesk } from '../../../src/core/writing/writingDesk';
import { TYPED_LETTERS } from './typedLetters';

/** What words of a letter say. */
export interface Told {
  start: number;
  end: number;
  /** the facts that they may be taken for; the one of a template’s field alone */
  paths: readonly string[];
  /** it stands in a row of a listing, which no field by itself can say: it need not be found */
  row: boolean;
  /** whose fact it is: `booking:b52` */
  record?: string | undefined;
}

/** A letter whose facts are known. */
export interface ToldLetter {
  name: string;
  letter: LetterText;
  situation: Situation;
  facts: Told[];
}

/** So many letters of each template, from records spread over all that it fits. */
const OF_EACH = 3;
/** … and of all together. */
export const MOST_FILLED = 60;

/** Letters of the demonstration as its templates fill them, with what each field said. */
export function filledLetters(desk: WritingDesk): ToldLetter[] {
  const byTemplate = desk.facts.templates.map(({ key, head }): ToldLetter[] => {
    const fitting = startsIn(desk.book, head.startsFrom).flatMap((from): ToldLetter[] => {
      const start: StartingPoint = { kind: head.startsFrom, key: from };
      const isFitting = desk
        .fitting(desk.situation(start)!, [])
        .fitting.some(({ key: fits }) => fits === key);
      const told = isFitting ? filledLetter(desk, key, start) : undefined;
      return told ? [told] : [];
    });
    const step = Math.max(1, Math.floor(fitting.length / OF_EACH));
    return fitting.filter((_, i) => i % step === 0).slice(0, OF_EACH);
  });
  // One of each first.
  const inTurn = Array.from({ length: OF_EACH }, (_, i) => byTemplate.flatMap((all) => all[i] ?? []));
  return inTurn.flat().slice(0, MOST_FILLED);
}

/** A letter with what its fields said; undefined: something is missing in it. */
export function filledLetter(desk: WritingDesk, key: string, start: StartingPoint): ToldLetter | undefined {
  const template = desk.compile(key);
  if (Array.isArray(template)) throw new Error(template.join(' '));
  const filled = desk.fill(start, { template: key, answers: answersTo(template, desk) })!;
  if (filled.holes.length > 0) return undefined;
  const { subject, document } = templateWords(filled.document);
  const letter = letterText(subject, document);
  const notes = new Map(filled.notes.map((note) => [note.id, note]));
  const begins = [...letter.begins.values()];
  const facts = linesOf(filled.document).flatMap(({ index, values, signature }): Told[] => {
    const from = begins[index]!;
    const said = values.flatMap(({ id, from: start, to }): Told[] => {
      const note = notes.get(id);
      // What answers a blank is no fact of a record.
      if (!note || !/^(?:\.|[a-z_]+(?:\.[a-z_]+)*)$/.test(note.path)) return [];
      const { path, record, steps } = note;
      // What is outstanding is the sum of what is left of the unpaid ones.
      const isOutstanding = path.endsWith('.unpaid_invoices') && steps.includes('sum balance');
      const paths = [isOutstanding ? path.replace('unpaid_invoices', 'outstanding') : path];
      return [{ start: from + start, end: from + to, paths, row: id.includes('.'), record }];
    });
    const signed = signature && { start: from + signature.from, end: from + signature.to };
    return signed ? [...said, { ...signed, paths: ['signature'], row: false }] : said;
  });
  return {
    name: `${template.head.name}, ${start.kind}:${start.key}`,
    letter,
    situation: filled.situation,
    facts,
  };
}

/** Letters that were typed freely. */
export function typedLetters({ book }: WritingDesk): ToldLetter[] {
  return TYPED_LETTERS.map(({ from, member, marked }): ToldLetter => {
    const [kind, key] = splitReference(from);
    const sender = book.members.get(member)!;
    const situation =
      isStartingKind(kind) && key !== undefined ? situationFrom(book, { kind, key }, { sender }) : undefined;
    if (!situation) throw new Error(`There is no ${from}.`);
    let text = '';
    const facts: Told[] = [];
    for (const part of marked.split(/(⟦[^⟧]*⟧)/)) {
      const [, words, paths] = /^⟦([^|]*)\|([^⟧]*)⟧$/.exec(part) ?? [];
      const start = text.length;
      text += words ?? part;
      if (paths !== undefined) facts.push({ start, end: text.length, paths: paths.split(' '), row: false });
    }
    return { name: `typed, ${from}`, letter: plainText(text), situation, facts };
  });
}
