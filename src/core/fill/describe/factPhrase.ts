import { CATALOGUE } from '../../records/catalogue/catalogue';
import { SAID } from '../../records/catalogue/said';
import type { FieldType } from '../../records/fieldType';
import type { Step } from '../../document/step';

/**
 * A fact in words for the margin: its own name, and where a step makes another fact of it, what that is. How it is
 * written is seen in the letter and not told: "still to pay", "half of what is still to pay", "7 days after today".
 * @param said what the fact itself is called  @param type the fact's own
 */
export function factPhrase(said: string, steps: readonly Step[], type: FieldType): string {
  return steps.reduce((words, step) => phrase(words, step, type), said);
}

function phrase(words: string, step: Step, type: FieldType): string {
  switch (step.step) {
    case 'share':
      return `${shareInWords(step.percent)} of what is ${words}`.replace('what is total', 'the total');
    case 'plus percent':
      return `${words} with ${step.percent}% on top`;
    case 'minus percent':
      return `${words} less ${step.percent}%`;
    case 'plus':
    case 'minus':
      return `${amount(step)} ${step.step === 'plus' ? 'after' : 'before'} ${words}`;
    case 'next':
      return `the ${step.day} after ${words}`;
    case 'start of month':
      return `the beginning of the month of ${words}`;
    case 'end of month':
      return `the end of the month of ${words}`;
    case 'time':
      return type.kind === 'moment' && words === 'day' ? 'time' : words;
    case 'weekday':
      return words === 'day' ? 'weekday' : words;
    case 'count':
      return `how many ${words}`;
    case 'sum':
      return `${fieldOf(step.field, type)} of all ${words}`;
    case 'where':
      return `some of the ${words}`;
    case 'first':
    case 'last':
      return `the ${step.step} ${step.count === 1 ? '' : `${step.count} `}of ${words}`;
    default:
      return words;
  }
}

/** What a field of a list's records is called. */
function fieldOf(field: string, type: FieldType): string {
  const kind = type.kind === 'collection' && type.of.kind === 'record' ? type.of.record : undefined;
  return (kind && (SAID[kind]?.[field] ?? CATALOGUE[kind].get(field)?.label)) ?? field.replaceAll('_', ' ');
}

function amount({ amount: count, unit }: Extract<Step, { step: 'plus' | 'minus' }>): string {
  return `${count} ${unit}${count === 1 ? '' : 's'}`;
}

/** "half", "a third", "30%" */
function shareInWords(percent: string): string {
  if (/^50(?:\.0+)?$/.test(percent)) return 'half';
  if (/^33(?:\.3+)?$/.test(percent)) return 'a third';
  if (/^25(?:\.0+)?$/.test(percent)) return 'a quarter';
  return `${percent}%`;
}
