import type { Step } from './step';

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

export interface Clause {
  path: string;
  steps: Step[];
  /** absent: a yes/no alone */
  operator?: Operator;
  /** absent with "is set", "is not set" and a yes/no alone */
  right?: Operand;
}

export interface Condition {
  join: 'and' | 'or';
  clauses: Clause[];
}
