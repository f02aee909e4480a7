import { readDay } from '../../dates/civil';
import { readAmount } from '../../money/currency';
import { scalar, typeInWords, type FieldType } from '../../records/fieldType';
import { didYouMean } from '../../problems/nearest';
import { OPERATORS, type Clause, type Condition, type Operand, type Operator } from '../../document/step';
import { typeOfBlank } from '../blanks';
import { resolvePath } from '../paths/resolvePath';
import type { Scope } from '../paths/scope';
import type { Run } from '../run';
import { compileSteps, valueOf } from '../steps/compileSteps';
import { isMissing } from '../values';

type Holds = (run: Run) => boolean;
type Side = { type: FieldType; read: (run: Run) => unknown };

/** Compiles a condition; what is wrong with it goes to `wrong`. */
export function compileCondition(
  { join, clauses }: Condition,
  scope: Scope,
  wrong: (message: string) => void,
): Holds {
  const compiled = clauses.map((clause) => compileClause(clause, scope, wrong));
  if (compiled.length === 1) return compiled[0]!;
  return join === 'or'
    ? (run) => compiled.some((holds) => holds(run))
    : (run) => compiled.every((holds) => holds(run));
}

const NEVER: Holds = () => false;

function compileClause(clause: Clause, scope: Scope, wrong: (message: string) => void): Holds {
  const left = leftSide(clause, scope);
  if (typeof left === 'string') return (wrong(left), NEVER);
  const { operator, right: operand } = clause;
  if (!operator) {
    if (left.type.kind === 'yes/no') return (run) => left.read(run) === true;
    const message = `“${clause.path}” is ${typeInWords(left.type)}, not yes or no: compare it, or add “is set”.`;
    return (wrong(message), NEVER);
  }
  if (operator === 'is set') return (run) => !isMissing(left.read(run));
  if (operator === 'is not set') return (run) => isMissing(left.read(run));
  const right = operand && rightSide(operand, left.type, operator, scope);
  if (!right) return NEVER;
  if (typeof right === 'string') return (wrong(right), NEVER);
  const compare = comparison(operator, left.type, right.type);
  if (!compare) return (wrong(misfit(operator, clause.path, left.type)), NEVER);
  return (run) => {
    const [a, b] = [left.read(run), right.read(run)];
    if (a === undefined || b === undefined) return operator === 'is not';
    return compare(a as never, b as never, run);
  };
}

function leftSide(clause: Clause, scope: Scope): Side | string {
  const path = resolvePath(clause.path, scope);
  if (typeof path === 'string') return path;
  const steps = compileSteps(clause.steps, path.type, scope);
  if (typeof steps === 'string') return steps;
  return { type: steps.type, read: valueOf(path, steps) };
}

/** The comparisons that a value of a type can be asked by. */
export function operatorsOf(type: FieldType): Operator[] {
  const right = type.kind === 'collection' ? type.of : type;
  return OPERATORS.filter(
    (operator) => /is (?:not )?set/.test(operator) || comparison(operator, type, right) !== undefined,
  );
}

type Compare = (a: never, b: never, run: Run) => boolean;

const NUMERIC = new Set<FieldType['kind']>(['number', 'money', 'percent', 'duration']);
const isDay = ({ kind }: FieldType) => kind === 'date' || kind === 'moment';
const isText = ({ kind }: FieldType) =>
  kind === 'text' || kind === 'long text' || kind === 'phone' || kind === 'link';

/** How two sides are compared; undefined when the comparison does not fit their types. */
function comparison(operator: Operator, left: FieldType, right: FieldType): Compare | undefined {
  if (operator === 'contains') {
    if (isText(left) && isText(right)) {
      return (a: string, b: string) => a.toLowerCase().includes(b.toLowerCase());
    }
    if (left.kind === 'collection' && isText(left.of) && isText(right)) {
      return (a: string[], b: string) => a.includes(b);
    }
    return undefined;
  }
  if (isDay(left) && isDay(right)) {
    const order = dayOrder(left, right);
    const test = ORDER[operator];
    return test && operator !== 'over' && operator !== 'under'
      ? (a, b, run) => test(order(a, b, run))
      : undefined;
  }
  if (operator === 'before' || operator === 'after') return undefined;
  if (NUMERIC.has(left.kind) && left.kind === right.kind) {
    const test = ORDER[operator];
    return test && ((a: number, b: number) => test(a - b));
  }
  if (operator !== 'is' && operator !== 'is not') return undefined;
  const alike = (isText(left) && isText(right)) || (left.kind === 'yes/no' && right.kind === 'yes/no');
  return alike ? (a, b) => (a === b) === (operator === 'is') : undefined;
}

const ORDER: Readonly<Partial<Record<Operator, (difference: number) => boolean>>> = {
  is: (difference) => difference === 0,
  'is not': (difference) => difference !== 0,
  over: (difference) => difference > 0,
  under: (difference) => difference < 0,
  'at least': (difference) => difference >= 0,
  'at most': (difference) => difference <= 0,
  before: (difference) => difference < 0,
  after: (difference) => difference > 0,
};

/** Two moments by the clock; a date against a moment by calendar days. */
function dayOrder(left: FieldType, right: FieldType): (a: number, b: number, run: Run) => number {
  if (left.kind === right.kind) return (a, b) => a - b;
  const day = (value: number, type: FieldType, run: Run) =>
    type.kind === 'moment' ? run.formats.dayOf(value) : value;
  return (a, b, run) => day(a, left, run) - day(b, right, run);
}

function rightSide(operand: Operand, left: FieldType, operator: Operator, scope: Scope): Side | string {
  switch (operand.kind) {
    case 'path': {
      const path = resolvePath(operand.path, scope);
      return typeof path === 'string' ? path : { type: path.type, read: path.read };
    }
    case 'blank': {
      const blank = scope.blanks.get(operand.name);
      if (!blank) {
        return `There is no blank “${operand.name}” in this template.${didYouMean(operand.name, scope.blanks.keys())}`;
      }
      return { type: typeOfBlank(blank.answer), read: (run) => run.answers.get(blank.name) };
    }
    case 'text':
      return constant(scalar('text'), operand.text);
    case 'yes/no':
      return constant(scalar('yes/no'), operand.yes);
    case 'date':
      return constant(scalar('date'), readDay(operand.iso));
    case 'money':
      return amount(operand.text, scope);
    case 'number':
      if (left.kind === 'money') return amount(operand.text, scope);
      if (left.kind === 'duration') return constant(left, Number(operand.text) * 60);
      if (isText(left) && (operator === 'is' || operator === 'is not')) {
        return `Text is compared with text in quotation marks, as ${operator} "${operand.text}".`;
      }
      return constant(left.kind === 'percent' ? left : scalar('number'), parseFloat(operand.text));
  }
}

function amount(text: string, scope: Scope): Side | string {
  const value = readAmount(text, scope.schema.currency);
  return value === undefined
    ? `“${text}” is no sum in ${scope.schema.currency}.`
    : constant(scalar('money'), value);
}

function constant(type: FieldType, value: unknown): Side {
  return { type, read: () => value };
}

function misfit(operator: Operator, path: string, type: FieldType): string {
  const fitting = isDay(type)
    ? 'is, is not, before, after, at least, at most'
    : NUMERIC.has(type.kind)
      ? 'is, is not, over, under, at least, at most'
      : isText(type)
        ? 'is, is not, contains, with text in quotation marks'
        : type.kind === 'yes/no'
          ? 'is yes and is no'
          : type.kind === 'collection'
            ? 'contains, is set, is not set'
            : 'is set and is not set';
  return `“${operator}” does not fit here: “${path}” is ${typeInWords(type)}, compared by ${fitting}.`;
}
