import type { CompiledTemplate } from '../fill/compileTemplate';
import { fillInto, type Answers } from '../fill/fillInto';
import type { FillResult } from '../fill/filled';
import type { Situation } from '../records/which/situation';
import type { CopyDocument } from '../document/copyDocument';
import { CopyWriter } from './copyWriter';
import { readCopy } from '../document/readDocument';

/** A template filled for one situation, before anybody has changed a word. */
export interface FairCopy extends FillResult {
  document: CopyDocument;
}

/** Fills a template as a page to be read and mended. Never fails: what is missing is a hole. */
export function fairCopyOf(
  template: CompiledTemplate,
  situation: Situation,
  answers: Answers = new Map(),
): FairCopy {
  const writer = new CopyWriter();
  const outcome = fillInto(template, situation, answers, writer, (write) =>
    writer.subject(() => write(writer)),
  );
  return { document: readCopy(writer.end()), ...outcome };
}
