import type { PlainStep, Step } from '../document/step';
import type { FieldType } from '../records/fieldType';
import { CATALOGUE } from '../records/catalogue/catalogue';

const one = (step: PlainStep): Step[] => [{ step }];

const DAYS: Step[][] = [
  [],
  ...(['long date', 'short date', 'weekday', 'day and month', 'month', 'from now'] as const).map(one),
];

/** Days that are counted from a day, as they are written out. */
const AROUND: Step[][] = [
  [{ step: 'minus', amount: 1, unit: 'day' }, { step: 'long date' }],
  [{ step: 'minus', amount: 2, unit: 'working day' }, { step: 'long date' }],
  [{ step: 'plus', amount: 7, unit: 'day' }, { step: 'long date' }],
  [{ step: 'plus', amount: 1, unit: 'month' }, { step: 'long date' }],
];

/**
 * The forms in which a fact of a type can be said, each as the steps that make it, its own form first: to be shown as
 * examples and chosen. What speaks for a missing fact is not among them.
 */
export function formsOf(type: FieldType): Step[][] {
  switch (type.kind) {
    case 'date':
      return [...DAYS, ...AROUND];
    case 'moment':
      return [...DAYS, one('time'), one('date and time'), ...AROUND];
    case 'money':
      return [[], one('whole money'), [{ step: 'share', percent: '50' }]];
    case 'number':
      return [[], one('words'), [{ step: 'counted', forms: ['day', 'days'] }]];
    case 'percent':
      return [[], one('number')];
    case 'duration':
      return [[], one('hours')];
    case 'phone':
      return [[], one('international')];
    case 'address':
      return [[], one('lines'), one('town')];
    case 'link':
      return [[], [{ step: 'as', words: ['here'] }], [{ step: 'button', words: 'Open' }]];
    case 'image':
      return [[], ...[80, 160, 320].map((pixels): Step[] => [{ step: 'width', pixels }])];
    case 'yes/no':
      return [[], [{ step: 'as', words: ['is', 'is not'] }]];
    case 'collection':
      return [[], one('joined or'), one('count'), ...sumsOf(type.of)];
    case 'record':
      return [];
    default:
      return [[], ...(['with article', 'lower', 'sentence', 'upper'] as const).map(one)];
  }
}

/** What of a list's records can be added up. */
function sumsOf(type: FieldType): Step[][] {
  if (type.kind !== 'record') return [];
  return [...CATALOGUE[type.record].values()]
    .filter(({ type: { kind } }) => kind === 'money')
    .map(({ key }) => [{ step: 'sum', field: key }]);
}
