import { boolean, mixed, number, object, string, type AnySchema } from 'yup';
import { isoMoment, momentOf, readMoment, wallClockOf } from '../../dates/zone';
import { isoOf, readDay, type Day } from '../../dates/civil';
import { decimalString, minorDigits, readAmount } from '../../money/currency';
import type { Custom, CustomFieldData, CustomValue } from '../../records/recordsFile';
import { line, lines, day } from './parts';

/** What a business's own fields are read and written with. */
export interface OwnFields {
  fields: readonly CustomFieldData[];
  currency: string;
  /** IANA */
  zone: string;
}

/** The facts that a business keeps of its own on a kind of record, as its definitions want them. */
export function customFacts(record: string, own: OwnFields) {
  const shape = Object.fromEntries(
    own.fields.filter((field) => field.record === record).map((field) => [field.key, customFact(field, own)]),
  );
  return object(shape).noUnknown('This business has no such field.').default(undefined).optional();
}

const NOTHING = (value: unknown) => (value === '' || value === null ? undefined : value);

function customFact({ type, choices = [] }: CustomFieldData, { currency, zone }: OwnFields): AnySchema {
  switch (type) {
    case 'text':
      return line(1_000);
    case 'long text':
      return lines();
    case 'number':
      return number()
        .transform((_, typed: unknown) =>
          typeof typed === 'string' ? (typed.trim() ? Number(typed.replace(',', '.')) : undefined) : typed,
        )
        .typeError('Write a number, as 438.5.');
    case 'money':
      return mixed<{ money: number }>()
        .transform((value: unknown) =>
          typeof value !== 'string'
            ? NOTHING(value)
            : value.trim()
              ? { money: readAmount(value, currency) }
              : undefined,
        )
        .test('sum', 'Write a sum, as 96 or 96.00.', (value) => value === undefined || isSum(value));
    case 'date':
      return day();
    case 'moment':
      return string()
        .transform((value: unknown) => ofClock(NOTHING(value), zone))
        .test(
          'moment',
          'Write a day and a time.',
          (value) => value === undefined || readMoment(value) !== undefined,
        );
    case 'yes/no':
      return boolean()
        .transform((_, typed: unknown) => (typed === 'yes' ? true : typed === 'no' ? false : NOTHING(typed)))
        .typeError('Say yes or no.');
    case 'choice':
      return string()
        .transform(NOTHING)
        .oneOf([...choices, undefined], 'Choose one of those that there are.');
  }
}

function isSum(value: unknown): boolean {
  const sum = (value as { money?: unknown }).money;
  return typeof value === 'object' && Object.keys(value ?? {}).length === 1 && Number.isSafeInteger(sum);
}

/** "2026-03-31T09:30" of a clock in the zone, as a moment. */
function ofClock(value: unknown, zone: string): unknown {
  const read = typeof value === 'string' ? /^(\d{4}-\d\d-\d\d)T(\d\d):(\d\d)$/.exec(value) : undefined;
  const civil = read && readDay(read[1]!);
  if (!read || civil === undefined) return value;
  const time = (Number(read[2]) * 60 + Number(read[3])) * 60_000;
  return isoMoment(momentOf({ day: civil as Day, time }, zone), zone);
}

/** A business's own facts as a form's controls show them, each a text. */
export function shownCustom(
  record: string,
  custom: Custom | undefined,
  { fields, currency, zone }: OwnFields,
): Record<string, string> {
  return Object.fromEntries(
    fields
      .filter((field) => field.record === record)
      .map(({ key, type }) => [key, shownValue(custom?.[key], type, currency, zone)]),
  );
}

function shownValue(
  value: CustomValue | undefined,
  type: CustomFieldData['type'],
  currency: string,
  zone: string,
): string {
  if (value === undefined || value === null) return '';
  if (typeof value === 'object') return decimalString(value.money, minorDigits(currency));
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  const moment = type === 'moment' ? readMoment(String(value)) : undefined;
  if (moment === undefined) return String(value);
  const { day: at, time } = wallClockOf(moment, zone);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${isoOf(at)}T${two(Math.floor(time / 3_600_000))}:${two(Math.floor(time / 60_000) % 60)}`;
}
