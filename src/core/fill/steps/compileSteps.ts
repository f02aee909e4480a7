import type { FieldDefinition } from '../../records/catalogue/field';
import { scalar, typeInWords, type FieldType } from '../../records/fieldType';
import type { RecordKind } from '../../records/recordKind';
import { didYouMean } from '../../problems/nearest';
import { printSteps } from '../../template/tags/printTag';
import type { Step } from '../../document/step';
import type { Scope } from '../paths/scope';
import type { Run } from '../run';
import { defaultShow, FIGURES, textOf } from '../show';
import { ADDRESS_STEPS, IMAGE_STEPS, LINK_STEPS, PHONE_STEPS, YES_NO_STEPS } from './contactSteps';
import { countedInWords } from './countSteps';
import { DATE_STEPS } from './dateSteps';
import { LIST_STEPS } from './listSteps';
import type { Judge, Meaning, Show, StepTable } from './meaning';
import { DURATION_STEPS, MONEY_STEPS, NUMBER_STEPS, PERCENT_STEPS } from './sumSteps';
import { TEXT_STEPS } from './textSteps';

const TABLES: Readonly<Record<FieldType['kind'], StepTable>> = {
  text: TEXT_STEPS,
  'long text': TEXT_STEPS,
  file: TEXT_STEPS,
  date: DATE_STEPS,
  moment: DATE_STEPS,
  money: MONEY_STEPS,
  number: NUMBER_STEPS,
  percent: PERCENT_STEPS,
  duration: DURATION_STEPS,
  phone: PHONE_STEPS,
  address: ADDRESS_STEPS,
  link: LINK_STEPS,
  image: IMAGE_STEPS,
  'yes/no': YES_NO_STEPS,
  collection: LIST_STEPS,
  record: {},
};

/** A value's way through its steps. */
export interface CompiledSteps {
  type: FieldType;
  /** of a value that is there, undefined where the result is missing; absent where the value stays as it is */
  apply: ((value: unknown, run: Run) => unknown) | undefined;
  /** what the result says, where it is words alone; else absent, and `show` writes it */
  text: ((value: never, run: Run) => string) | undefined;
  /** whether what it says, the fallback too, holds nothing that would have to be escaped, whatever the value */
  plain: boolean;
  show: Show | undefined;
  /** what speaks for a missing fact */
  fallback: string | undefined;
}

/**
 * Judges and compiles the steps behind a path.
 * @param own what the field is shown as where no step says otherwise
 * @returns a message when a step does not fit
 */
export function compileSteps(
  steps: readonly Step[],
  from: FieldType,
  scope: Scope,
  own: Pick<FieldDefinition, 'shownAs' | 'readsAs'> = {},
): CompiledSteps | string {
  const meanings: Meaning[] = [];
  let fallback: string | undefined;
  let type = from;
  const last = steps.at(-1);
  const given = last?.step === 'or' ? steps.slice(0, -1) : steps;
  if (last?.step === 'or') fallback = last.words;
  for (const [i, step] of (given.length ? given : stepsOf(own)).entries()) {
    const inWords = step.step === 'counted' && given[i - 1]?.step === 'words';
    // The number itself is counted, and written as a word then.
    if (inWords) {
      meanings.pop();
      type = scalar('number');
    }
    const meaning = inWords ? countedInWords(step, type, scope) : meaningOf(step, type, scope);
    if (typeof meaning === 'string') return meaning;
    meanings.push(meaning);
    type = meaning.type;
  }
  const { show = defaultShow(type, scope.inLink), plain = FIGURES.has(type.kind) } = meanings.at(-1) ?? {};
  return {
    type,
    apply: chained(meanings),
    text: show ? undefined : textOf(type),
    plain: plain && fallback === undefined,
    show,
    fallback,
  };
}

/** The steps that a field's own form is written by. */
function stepsOf({ shownAs, readsAs }: Pick<FieldDefinition, 'shownAs' | 'readsAs'>): Step[] {
  if (readsAs !== undefined) return [{ step: 'as', words: [readsAs] }];
  return shownAs ? [{ step: shownAs }] : [];
}

/** What stands behind a path, after its steps; what speaks for a missing fact in its place. */
export function valueOf(
  { read }: { read: (run: Run) => unknown },
  { apply, fallback }: CompiledSteps,
): (run: Run) => unknown {
  if (!apply && fallback === undefined) return read;
  return (run) => {
    const value = read(run);
    return (apply && value !== undefined ? apply(value, run) : value) ?? fallback;
  };
}

/** Steps as they are written, each by itself. */
export function stepsInWords(steps: readonly Step[]): string[] {
  return steps.map((step) => printSteps([step]).slice(' | '.length));
}

function chained(meanings: readonly Meaning[]): CompiledSteps['apply'] {
  const [first, ...others] = meanings;
  if (!first) return undefined;
  if (!others.length) return first.apply as CompiledSteps['apply'];
  return (value, run) => {
    for (let i = 0; i < meanings.length && value !== undefined; i++) {
      value = meanings[i]!.apply(value as never, run);
    }
    return value;
  };
}

function meaningOf(step: Step, type: FieldType, scope: Scope): Meaning | string {
  const table = TABLES[type.kind];
  const judge = table[step.step] as Judge | undefined;
  if (judge) return judge(step, type, scope);
  const written = printSteps([step]).slice(3);
  const fitting = Object.keys(table).map((name) => name.replace(' percent', ' 10%'));
  if (!fitting.length) return wholeRecord(type, scope);
  const near = didYouMean(step.step, fitting);
  return `“${written}” does not fit ${typeInWords(type)}, which takes ${fitting.join(', ')}.${near}`;
}

/** A whole record cannot stand in a text; its likely fields are named. */
export function wholeRecord(type: FieldType, scope: Scope, path = ''): string {
  const kind = (type as { record: RecordKind }).record;
  const fields = scope.schema.fields(kind);
  const likely = LIKELY.filter((key) => fields.has(key)).slice(0, 3);
  const named = likely.map((key) => `“${path ? `${path}.` : ''}${key}”`).join(' or ');
  return `This is a whole ${kind}, which no text can show. Name one of its fields, as ${named}.`;
}

const LIKELY = [
  'greeting_name',
  'number',
  'title',
  'service',
  'name',
  'full_name',
  'starts_at',
  'total',
  'description',
  'amount',
  'due_on',
  'paid_on',
];
