import { percentOf, readDecimal } from '../../money/exact';
import type { FieldType } from '../../records/fieldType';
import { numberInWords } from '../formats/smallWords';
import { counted, plural } from './countSteps';
import { figures, same, type Meaning, type StepTable } from './meaning';

function ofPercent(
  percent: string,
  type: FieldType,
  sum: (amount: number, share: number) => number,
): Meaning {
  const decimal = readDecimal(percent)!;
  const apply = (amount: number) => {
    const result = sum(amount, percentOf(amount, decimal));
    // A sum that cannot be told to the penny is none.
    return Number.isSafeInteger(result) ? result : undefined;
  };
  return { type, apply };
}

/** The steps of money. */
export const MONEY_STEPS: StepTable = {
  money: figures((amount: number, run) => run.formats.money(amount)),
  'whole money': figures((amount: number, run) => run.formats.wholeMoney(amount)),
  'plain number': figures((amount: number, run) => run.formats.plainMoney(amount)),
  share: (step, type) => ofPercent(step.percent, type, (_, share) => share),
  'plus percent': (step, type) => ofPercent(step.percent, type, (amount, share) => amount + share),
  'minus percent': (step, type) => ofPercent(step.percent, type, (amount, share) => amount - share),
};

/** The steps of numbers. */
export const NUMBER_STEPS: StepTable = {
  number: figures((value: number, run) => run.formats.decimal(value)),
  percent: figures((value: number, run) => run.formats.percent(value)),
  words: figures((value: number, run) => numberInWords(value, run.formats)),
  counted,
  plural,
};

/** The steps of percentages. */
export const PERCENT_STEPS: StepTable = {
  percent: same(),
  number: figures((value: number, run) => run.formats.decimal(value)),
};

/** The steps of durations. */
export const DURATION_STEPS: StepTable = {
  hours: figures((minutes: number, run) => run.formats.hours(minutes)),
};
