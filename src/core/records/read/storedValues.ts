import { readDay } from '../../dates/civil';
import { readMoment } from '../../dates/zone';
import { readDecimal } from '../../money/exact';

/** What each kind of value is in words, and whether a value is one. */
export const EXPECTED = {
  text: ['text', (value) => typeof value === 'string'],
  'long text': ['text', (value) => typeof value === 'string'],
  phone: ['a telephone number as text', (value) => typeof value === 'string'],
  link: ['an address as text', (value) => typeof value === 'string'],
  image: ['the name of a picture', (value) => typeof value === 'string'],
  file: ['the name of a file', (value) => typeof value === 'string'],
  date: ['a date as 2026-03-03', (value) => typeof value === 'string' && readDay(value) !== undefined],
  moment: [
    'a moment as 2026-03-03T09:30:00+00:00',
    (value) => typeof value === 'string' && readMoment(value) !== undefined,
  ],
  money: ['a sum in minor units, a whole number', (value) => Number.isSafeInteger(value)],
  number: ['a number', isDecimal],
  percent: ['a percentage', isDecimal],
  'yes/no': ['true or false', (value) => typeof value === 'boolean'],
} as const satisfies Record<string, [string, (value: unknown) => boolean]>;

function isDecimal(value: unknown): boolean {
  return (typeof value === 'number' || typeof value === 'string') && readDecimal(value) !== undefined;
}

/** Whether JSON is an object, not a list. */
export function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Whether JSON is a text that says something. */
export function isText(value: unknown): value is string {
  return typeof value === 'string' && value !== '';
}

/** Whether a fact counts as missing: nothing, null or an empty text. */
export function absent(value: unknown): boolean {
  return value === undefined || value === null || value === '';
}

/** Whether the platform knows a language tag (BCP 47) and can write by it. */
export function isLocale(tag: string): boolean {
  try {
    return Intl.DateTimeFormat.supportedLocalesOf(tag).length === 1;
  } catch {
    return false;
  }
}
