import type { PlainStep, Step } from '../document/step';
import type { OfferedField } from '../fields/fieldsAt';

const one = (step: PlainStep): Step[] => [{ step }];

const DAY: Step[][] = [
  [],
  ...(['long date', 'short date', 'day and month', 'weekday', 'month', 'from now', 'iso'] as const).map(one),
];

/** Words for days in the languages that letters are recognised in, as `counted` takes them. */
const DAYS: Readonly<Record<string, [string, string]>> = {
  en: ['day', 'days'],
  de: ['Tag', 'Tage'],
  fr: ['jour', 'jours'],
};

/**
 * The forms in which a fact is looked for in a letter, each as the steps that write it, its own first. @param locale BCP 47: of the
 * letter
 */
export function recognisedForms({ path, type }: OfferedField, locale: string): Step[][] {
  switch (type.kind) {
    case 'date':
      return DAY;
    case 'moment':
      // An end is told by its time.
      return path.endsWith('end_time')
        ? [[]]
        : [...DAY, one('time'), one('date and time'), ...yearlyOf(path)];
    case 'money':
      return [[], one('whole money'), ...sharesOf(path)];
    case 'number':
      return [[], ...daysCounted(path, locale)];
    case 'duration':
      return [[], one('hours')];
    case 'phone':
      return [[], one('international')];
    case 'address':
      return [[], one('lines')];
    case 'collection':
      return [
        [],
        one('joined or'),
        [{ step: 'joined' }, { step: 'sentence' }],
        ...(type.of.kind === 'date' ? [[{ step: 'first', count: 1 } as const]] : []),
      ];
    case 'text':
      return [[], ...(['sentence', 'lower', 'title', 'upper', 'with article'] as const).map(one)];
    default:
      return [[]];
  }
}

/** The month in which a visit is due once more. */
function yearlyOf(path: string): Step[][] {
  return /booking\.starts_at$/.test(path)
    ? [[{ step: 'plus', amount: 12, unit: 'month' }, { step: 'month' }]]
    : [];
}

/** A part of a sum, where letters ask for one. */
function sharesOf(path: string): Step[][] {
  return /\.(?:total|value|price|balance)$/.test(path)
    ? [[{ step: 'share', percent: '50' }], [{ step: 'share', percent: '50' }, { step: 'whole money' }]]
    : [];
}

function daysCounted(path: string, locale: string): Step[][] {
  const forms = DAYS[locale.slice(0, 2)];
  return /\.days_/.test(path) && forms ? [[{ step: 'counted', forms }]] : [];
}
