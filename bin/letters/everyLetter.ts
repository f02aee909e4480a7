import { isoOf } from '../../src/core/dates/civil';
import type { CompiledTemplate } from '../../src/core/fill/compileTemplate';
import type { BlankType } from '../../src/core/document/templateDocument';
import { startsIn } from '../../src/core/records/startsIn';
import type { StartingPoint } from '../../src/core/records/which/situation';
import { proofLetter } from '../../src/core/writing/proofLetter';
import type { WritingDesk } from '../../src/core/writing/writingDesk';

/** One template filled for one record, as it would go. */
export interface WrittenLetter {
  template: string;
  start: StartingPoint;
  /** whether it is offered as fitting, or only among the others */
  fitting: boolean;
  /** BCP 47; absent: the business's own */
  language: string | undefined;
  subject: string;
  text: string;
  html: string;
  /** what the proof says */
  marks: { kind: 'stop' | 'query'; message: string }[];
}

/** Every template for every record it starts from, each blank answered. */
export function* everyLetter(desk: WritingDesk): Generator<WrittenLetter> {
  for (const { key, head } of desk.facts.templates) {
    const template = desk.compile(key);
    if (Array.isArray(template)) throw new Error(`${head.name}: ${template.join(' ')}`);
    const answers = answersTo(template, desk);
    for (const from of startsIn(desk.book, head.startsFrom)) {
      const start: StartingPoint = { kind: head.startsFrom, key: from };
      const situation = desk.situation(start)!;
      const fitting = desk.fitting(situation, []).fitting.some((fit) => fit.key === key);
      const filled = desk.fill(start, { template: key, answers })!;
      const { subject, text, html, marks } = proofLetter(filled.document, filled);
      yield { template: head.name, start, fitting, language: head.language, subject, text, html, marks };
    }
  }
}

/** An answer to every blank that has no default. */
export function answersTo({ blanks }: CompiledTemplate, { book }: WritingDesk): Record<string, string> {
  const open = [...blanks.values()].filter(({ preset }) => preset === undefined);
  return Object.fromEntries(
    open.map(({ name, answer }, i) => [name, answerOf(answer, isoOf(book.today + 7 + i))]),
  );
}

function answerOf(type: BlankType, day: string): string {
  switch (type.kind) {
    case 'date':
      return day;
    case 'number':
      return '3';
    case 'money':
      return '65.00';
    case 'yes/no':
      return 'yes';
    case 'choice':
      return type.of[0]!;
    default:
      return 'All goes well.';
  }
}
