import type { Situation } from '../records/which/situation';
import type { CompiledTemplate } from './compileTemplate';
import type { Filled } from './filled';
import { directed } from './write/directed';
import { fillInto, languageOf, type Answers } from './fillInto';
import { LetterWriter } from './write/letterWriter';
import { LineWriter } from './write/lineWriter';

/**
 * Fills a template for one situation. Never fails: what is missing is a hole, and its text shows a label in
 * brackets.
 */
export function fillTemplate(
  template: CompiledTemplate,
  situation: Situation,
  answers: Answers = new Map(),
): Filled {
  const letter = new LetterWriter();
  const subject = new LineWriter();
  const result = fillInto(template, situation, answers, letter, (write) => write(subject));
  // Part by part: to spread them takes longer than to write a paragraph.
  const { replyTo, copy, blindCopy, notes, holes } = result;
  const { text, signatureAt, html } = letter.end();
  const filled: Filled = {
    subject: subject.end(),
    text,
    html: directed(html, languageOf(template, situation.book)),
    notes,
    holes,
  };
  if (signatureAt !== undefined) filled.signatureAt = signatureAt;
  if (replyTo !== undefined) filled.replyTo = replyTo;
  if (copy !== undefined) filled.copy = copy;
  if (blindCopy !== undefined) filled.blindCopy = blindCopy;
  return filled;
}
