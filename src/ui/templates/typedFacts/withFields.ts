import type { WordsFacts } from '../../../core/contract/templateWords';
import type { Find } from '../../../core/recognise/find';
import { letterText } from '../../../core/recognise/letterText';
import { fieldOf, placeFields } from '../../../core/recognise/placeFields';
import { inNames } from '../../../core/template/naming';
import type { Template } from '../../../core/template/template';
import { printTemplate } from '../../../core/template/text/printTemplate';

/** A template’s text with fields in the place of words that are one client’s alone. */
export function withFields(template: Template, finds: readonly Find[], facts: WordsFacts): string {
  const placed = placeFields(letterText(template.head.subject, template.document), finds.map(fieldOf));
  const { subject, document } = placed;
  return printTemplate(inNames({ head: { ...template.head, subject }, document }, facts));
}
