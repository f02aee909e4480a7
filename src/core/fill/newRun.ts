import type { Situation } from '../records/which/situation';
import type { Formats } from './formats/formats';
import { formatsOf } from './formats/formatsOf';
import type { Origin, Run } from './run';
import { LineWriter } from './write/lineWriter';
import type { PageWriter } from './write/writer';

/** What one filling differs from another by. */
type Beginning = Pick<Run, 'situation' | 'answers' | 'kept' | 'notes' | 'page'> & {
  formats: Formats;
  /** how many the template's fields need */
  slots: number;
};

/** A filling that begins. */
export function newRun({ situation, formats, answers, kept, notes, page, slots }: Beginning): Run {
  return {
    situation,
    book: situation.book,
    recipients: situation.recipients,
    and: formats.and,
    formats,
    frames: [],
    round: undefined,
    answers,
    owners: new Array<unknown>(slots),
    origins: new Array<Origin | undefined>(slots),
    kept,
    notes,
    holes: [],
    words: page,
    page,
  };
}

/** A run that only asks the records, without words, notes or answers. */
export function askingRun(situation: Situation, language: string | undefined, slots: number): Run {
  return newRun({
    situation,
    formats: formatsOf(situation.book, language),
    answers: new Map(),
    kept: [],
    notes: undefined,
    page: new LineWriter() as unknown as PageWriter,
    slots,
  });
}
