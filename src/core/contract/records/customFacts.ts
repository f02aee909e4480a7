import { boolean, mixed, number, object, string, type AnySchema } from 'yup';
import { readAmount } from '../../money/currency';
import type { Custom, CustomFieldData, CustomValue } from '../../records/recordsFile';
import { clockMoment, day, line, lines, shownMoment, shownSum } from './parts';

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
      return clockMoment(zone);
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
  if (typeof value === 'object') return shownSum(value.money, currency);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return type === 'moment' ? shownMoment(String(value), zone) : String(value);
}
