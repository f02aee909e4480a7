import type { Condition } from './condition';

/** Steps that take nothing after their name. */
export const PLAIN_STEPS = [
  'upper',
  'lower',
  'title',
  'sentence',
  'initials',
  'date',
  'long date',
  'short date',
  'weekday',
  'day and month',
  'month',
  'time',
  'date and time',
  'from now',
  'iso',
  'start of month',
  'end of month',
  'money',
  'whole money',
  'plain number',
  'number',
  'percent',
  'words',
  'hours',
  'local',
  'international',
  'one line',
  'lines',
  'town',
  'joined',
  'joined or',
  'count',
] as const;

export type PlainStep = (typeof PLAIN_STEPS)[number];

export const UNITS = ['minute', 'hour', 'day', 'working day', 'week', 'month', 'year'] as const;
export type Unit = (typeof UNITS)[number];

export const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const;

/** What stands behind a `|`. Numbers that may have a fraction stay decimal strings. */
export type Step =
  | { step: PlainStep }
  | { step: 'plus' | 'minus'; amount: number; unit: Unit }
  | { step: 'plus percent' | 'minus percent' | 'share'; percent: string }
  | { step: 'next'; day: 'weekday' | (typeof WEEKDAYS)[number] }
  | { step: 'as'; words: [string] | [string, string] }
  | { step: 'button'; words: string }
  | { step: 'width'; pixels: number }
  | { step: 'where'; condition: Condition }
  | { step: 'by'; field: string; down: boolean }
  | { step: 'first' | 'last'; count: number }
  | { step: 'sum'; field: string }
  | { step: 'or'; words: string };

/** Every step's name as it is written, for messages and the finder. */
export const STEP_NAMES: readonly string[] = [
  ...PLAIN_STEPS,
  'plus',
  'minus',
  'share',
  'next weekday',
  ...WEEKDAYS.map((day) => `next ${day}`),
  'as',
  'button',
  'width',
  'where',
  'by',
  'first',
  'last',
  'sum',
  'or',
];
