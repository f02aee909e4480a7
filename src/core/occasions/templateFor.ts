import type { PastLetter } from '../fitting/fittingTemplates';
import type { StartingKind } from '../records/recordKind';
import type { Act } from '../template/acts';
import type { TemplateHead } from '../template/template';
import type { WritingDesk } from '../writing/writingDesk';
import type { Occasion } from './occasion';
import { pastLettersOf } from './pastLetters';

/**
 * The template that an occasion is written with: of those of its act that fit and have not been sent since it began, the
 * first; where no template belongs to the act, the likeliest that fits.
 * @returns "done" when all of its act have been sent, undefined when there is none to offer
 */
export function templateFor(
  occasion: Occasion,
  desk: WritingDesk,
  letters: readonly PastLetter[],
): string | 'done' | undefined {
  const { start, since } = occasion;
  const situation = desk.situation(start);
  if (!situation) return undefined;
  const own = desk.facts.templates.filter(({ head }) => isOfAct(head, occasion.act, start.kind));
  if (own.length === 0) return desk.fitting(situation, letters).fitting[0]?.key;
  const sent = pastLettersOf(letters, desk.book).templatesSince(start.kind, start.key, since);
  const fits = new Set(desk.fitting(situation, letters, own).fitting.map(({ key }) => key));
  const open = own.filter(({ key }) => fits.has(key) && !sent.has(key));
  // The owner's own order; one in a language that the client reads before the others.
  const [next] = open
    .map((template, i) => ({ template, i, foreign: desk.isForeign(template.head, situation) }))
    .sort(
      (a, b) =>
        Number(a.foreign) - Number(b.foreign) ||
        Number(b.template.head.action!.first) - Number(a.template.head.action!.first) ||
        a.i - b.i,
    );
  if (next) return next.template.key;
  return own.some(({ key }) => sent.has(key)) ? 'done' : undefined;
}

/** Whether a template belongs to an act of the work, from a kind of record. */
export function isOfAct(
  { action, startsFrom, resting }: TemplateHead,
  act: Act,
  kind: StartingKind,
): boolean {
  return action?.act === act && startsFrom === kind && !resting;
}
