import type { Situation } from '../records/which/situation';
import { formatsOf } from './formats/formatsOf';
import type { Origin, Run } from './run';
import { LineWriter } from './write/lineWriter';
import type { PageWriter } from './write/writer';

/** A run that only asks the records, without words, notes or answers. */
export function newRun(situation: Situation, language: string | undefined, slots: number): Run {
  const formats = formatsOf(situation.book, language);
  const words = new LineWriter();
  return {
    situation,
    book: situation.book,
    recipients: situation.recipients,
    and: formats.and,
    formats,
    frames: [],
    round: undefined,
    answers: new Map(),
    owners: new Array<unknown>(slots),
    origins: new Array<Origin | undefined>(slots),
    house: [],
    notes: undefined,
    holes: [],
    words,
    page: words as unknown as PageWriter,
  };
}
