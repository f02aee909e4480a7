/** Steps that take nothing after their name. */
export const PLAIN_STEPS = [
  'upper',
  'lower',
  'title',
  'sentence',
  'initials',
  'with article',
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

/** What can be added to a day or a moment. */
export const UNITS = ['minute', 'hour', 'day', 'working day', 'week', 'month', 'year'] as const;
export type Unit = (typeof UNITS)[number];

/** The days of a week as `next` names them, Monday first. */
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
  | { step: 'counted' | 'plural'; forms: string[] }
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
  'counted',
  'plural',
  'or',
];

/** What a clause compares by. */
export const OPERATORS = [
  'is not set',
  'is set',
  'is not',
  'is',
  'over',
  'under',
  'at least',
  'at most',
  'before',
  'after',
  'contains',
] as const;

export type Operator = (typeof OPERATORS)[number];

/** The right side of a comparison as written; its type follows from the left side. */
export type Operand =
  | { kind: 'number'; text: string }
  | { kind: 'money'; text: string }
  | { kind: 'text'; text: string }
  | { kind: 'date'; iso: string }
  | { kind: 'yes/no'; yes: boolean }
  | { kind: 'path'; path: string }
  | { kind: 'blank'; name: string };

/** One comparison: a path with steps, an operator and a right side; a yes/no path alone is one, too. */
export interface Clause {
  path: string;
  steps: Step[];
  /** absent: a yes/no alone */
  operator?: Operator;
  /** absent with "is set", "is not set" and a yes/no alone */
  right?: Operand;
}

/** What a section or a step “where” asks; its clauses have steps again, so both stand in one file. */
export interface Condition {
  join: 'and' | 'or';
  clauses: Clause[];
}
