import type { Step } from '../../document/step';
import { pluralForms } from '../formats/pluralForms';
import { numberInWords } from '../formats/smallWords';
import type { Scope } from '../paths/scope';
import type { Run } from '../run';
import { form, type Judge, type Meaning } from './meaning';

type Forms = Extract<Step, { step: 'counted' | 'plural' }>;

/** A number, or the count of a list, with the form that its language asks for: "3 days". */
export const counted: Judge<Forms> = (step, _, scope) =>
  inForm(step, scope, (count, run) => `${run.formats.decimal(count)} `);

/** The same behind `words`: "three days". */
export const countedInWords: Judge<Forms> = (step, _, scope) =>
  inForm(step, scope, (count, run) => `${numberInWords(count, run.formats)} `);

/** The form alone: "were". */
export const plural: Judge<Forms> = (step, _, scope) => inForm(step, scope, () => '');

function inForm(
  { step, forms }: Forms,
  { language }: Scope,
  before: (count: number, run: Run) => string,
): Meaning | string {
  const { names, of } = pluralForms(language);
  if (forms.length !== names.length) {
    const wanted = names.length === 1 ? 'one form' : `${names.length} forms (for ${names.join(', ')})`;
    return `“${step}” takes ${wanted} in “${language}”, and ${forms.length} ${forms.length === 1 ? 'is' : 'are'} given.`;
  }
  const countOf = (value: number | readonly unknown[]) => (typeof value === 'number' ? value : value.length);
  return form((value: number | readonly unknown[], run) => {
    const count = countOf(value);
    return before(count, run) + forms[of(count)]!;
  })();
}
