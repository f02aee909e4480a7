import type { Field, Inline, Section } from '../document/templateDocument';
import type { CompileContext } from '../fill/compile/newScope';
import { compileTemplate } from '../fill/compileTemplate';
import { fillTemplate } from '../fill/fillTemplate';
import type { Situation } from '../records/which/situation';
import type { TemplateHead } from '../template/template';

/** A section around a place. */
export type Around = Section<never>['attrs'];

/**
 * What a field says for one record, at a place in a template: of a list's rows, in the first. Undefined where something is
 * missing, or the field cannot stand there.
 */
export function sayField(
  { path, steps }: Field['attrs'],
  around: readonly Around[],
  { name, group, startsFrom, language, writtenTo, from }: TemplateHead,
  context: CompileContext,
  situation: Situation,
): string | undefined {
  const field: Inline = { type: 'field', attrs: { path, steps } };
  const subject = around.reduceRight<Inline>(
    (inside, attrs) => ({ type: 'section', attrs, content: [inside] }),
    field,
  );
  const head: TemplateHead = {
    name,
    group,
    startsFrom,
    subject: [subject],
    ...(language === undefined ? {} : { language }),
    ...(writtenTo === undefined ? {} : { writtenTo }),
    ...(from === undefined ? {} : { from }),
  };
  const { compiled } = compileTemplate({ head, document: { type: 'doc', content: [] } }, context);
  if (!compiled) return undefined;
  const { notes, holes, subject: said } = fillTemplate(compiled, situation);
  if (holes.length > 0) return undefined;
  // Of a list's rows the first; what speaks for a missing fact has no note.
  return (notes[0]?.value ?? said) || undefined;
}
