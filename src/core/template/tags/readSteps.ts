import { didYouMean } from '../../problems/nearest';
import { TagError, isPath, type Token } from './lexer';
import {
  PLAIN_STEPS,
  STEP_NAMES,
  UNITS,
  WEEKDAYS,
  type Condition,
  type PlainStep,
  type Step,
  type Unit,
} from '../../document/step';

/** Reads the condition behind `where`; given from outside, as conditions hold steps again. */
export type ReadWhere = (tokens: Token[], end: number) => Condition;

/** Reads one step from its tokens, the `|` before it at `pipe`. Throws TagError. */
export function readStep(tokens: Token[], pipe: number, readWhere: ReadWhere): Step {
  const [first, ...rest] = tokens;
  if (!first) throw new TagError('A step is missing after “|”.', pipe);
  if (first.kind !== 'word') throw new TagError('A step begins with its name.', first.at);
  const reader = READERS[first.text];
  const step = reader && Object.hasOwn(READERS, first.text) ? reader(rest, first, readWhere) : undefined;
  if (step) return step;
  const name = tokens.map((token) => token.text).join(' ');
  if (tokens.every((token) => token.kind === 'word') && isPlain(name)) return { step: name };
  throw new TagError(`There is no step “${name}”.${didYouMean(name, STEP_NAMES)}`, first.at);
}

type Reader = (rest: Token[], first: Token, readWhere: ReadWhere) => Step | undefined;

const READERS: Record<string, Reader> = {
  plus: (rest, first) => change('plus', rest, first),
  minus: (rest, first) => change('minus', rest, first),
  share: (rest, first) => ({
    step: 'share',
    percent: percentage(rest, first, 'share takes a percentage, as “share 50%”.'),
  }),
  next: (rest, first) => {
    const day = rest.map((token) => token.text).join(' ');
    const known = ['weekday', ...WEEKDAYS].find((name) => name.toLowerCase() === day.toLowerCase());
    if (!known || rest.length !== 1) {
      throw new TagError(
        `next takes “weekday” or the name of a day, as “next Monday”.${didYouMean(day, WEEKDAYS, 'next ')}`,
        first.at,
      );
    }
    return { step: 'next', day: known as 'weekday' };
  },
  as: (rest, first) => {
    const words = quotedOnly(rest, first, 'as takes its words in quotation marks, as “as "our page"”.');
    if (words.length > 2) throw new TagError('as takes one text, or two for yes and no.', first.at);
    return { step: 'as', words: words as [string] };
  },
  button: (rest, first) => ({
    step: 'button',
    words: oneQuoted(rest, first, 'button takes its words in quotation marks, as “button "Pay"”.'),
  }),
  or: (rest, first) => ({
    step: 'or',
    words: oneQuoted(rest, first, 'or takes its words in quotation marks, as “or "soon"”.'),
  }),
  width: (rest, first) => ({
    step: 'width',
    pixels: whole(rest, first, 'width takes a whole number, as “width 240”.'),
  }),
  where: (rest, first, readWhere) => ({ step: 'where', condition: readWhere(rest, first.end) }),
  by: (rest, first) => {
    const [field, down] = rest;
    const isDown = down?.kind === 'word' && down.text === 'down';
    if (field?.kind !== 'word' || !isPath(field.text) || rest.length > (isDown ? 2 : 1)) {
      throw new TagError(
        'by takes a field, and “down” for the greatest first, as “by due_on down”.',
        first.at,
      );
    }
    return { step: 'by', field: field.text, down: isDown };
  },
  first: (rest, first) => ({
    step: 'first',
    count: whole(rest, first, 'first takes a whole number, as “first 3”.'),
  }),
  last: (rest, first) => ({
    step: 'last',
    count: whole(rest, first, 'last takes a whole number, as “last 3”.'),
  }),
  sum: (rest, first) => {
    const [field] = rest;
    if (field?.kind !== 'word' || !isPath(field.text) || rest.length > 1) {
      throw new TagError('sum takes a field, as “sum balance”.', first.at);
    }
    return { step: 'sum', field: field.text };
  },
  counted: (rest, first) => ({
    step: 'counted',
    forms: quotedOnly(rest, first, 'counted takes its forms in quotation marks, as “counted "day" "days"”.'),
  }),
  plural: (rest, first) => ({
    step: 'plural',
    forms: quotedOnly(rest, first, 'plural takes its forms in quotation marks, as “plural "was" "were"”.'),
  }),
};

function change(step: 'plus' | 'minus', rest: Token[], first: Token): Step {
  const expected = `${step} takes a number and a unit or a percentage, as “${step} 2 working days” or “${step} 10%”.`;
  if (rest.length === 1 && rest[0]!.text.endsWith('%')) {
    return { step: `${step} percent`, percent: percentage(rest, first, expected) };
  }
  const [number, ...unitWords] = rest;
  if (!number || !/^\d{1,6}$/.test(number.text) || unitWords.length === 0) {
    throw new TagError(expected, first.at);
  }
  const unit = unitWords.map((token) => token.text).join(' ');
  const singular = UNITS.find((name) => unit === name || unit === `${name}s`);
  if (!singular) {
    const names = UNITS.map((name) => `${name}s`);
    throw new TagError(`There is no unit “${unit}”.${didYouMean(unit, names)}`, unitWords[0]!.at);
  }
  return { step, amount: Number(number.text), unit: singular satisfies Unit };
}

function percentage(rest: Token[], first: Token, expected: string): string {
  const found = rest.length === 1 && rest[0]!.kind === 'word' && /^(\d+(?:\.\d+)?)%$/.exec(rest[0]!.text);
  if (!found) throw new TagError(expected, first.at);
  return found[1]!;
}

function whole(rest: Token[], first: Token, expected: string): number {
  if (rest.length !== 1 || !/^\d{1,9}$/.test(rest[0]!.text)) throw new TagError(expected, first.at);
  return Number(rest[0]!.text);
}

function quotedOnly(rest: Token[], first: Token, expected: string): string[] {
  if (rest.length === 0 || rest.some((token) => token.kind !== 'quoted'))
    throw new TagError(expected, first.at);
  return rest.map((token) => token.text);
}

function oneQuoted(rest: Token[], first: Token, expected: string): string {
  const words = quotedOnly(rest, first, expected);
  if (words.length !== 1) throw new TagError(expected, first.at);
  return words[0]!;
}

function isPlain(name: string): name is PlainStep {
  return (PLAIN_STEPS as readonly string[]).includes(name);
}
