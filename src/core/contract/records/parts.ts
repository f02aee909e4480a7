import { array, mixed, number, object, string } from 'yup';
import { isAddress } from '../../addressing/addresses';
import { isoOf, readDay } from '../../dates/civil';
import { isoMoment, momentOf, readMoment, wallClockOf } from '../../dates/zone';
import { decimalString, LARGEST_SUM, minorDigits, readAmount } from '../../money/currency';

/** What is typed and left empty is nothing at all; it is not sent. */
const emptyIsNothing = (value: unknown) =>
  value === null || (typeof value === 'string' && value.trim() === '') ? undefined : value;
const isSaid = (text: string | undefined) => text !== '';
const SAID = 'What is empty is left out.';

/** Words on one line, where there may be none. */
export function line(most = 200) {
  return string()
    .transform(emptyIsNothing)
    .trim()
    .max(most, `That is longer than ${most} characters.`)
    .test('said', SAID, isSaid)
    .test('line', 'This is one line.', (text) => !/[\r\n]/.test(text ?? ''));
}

/** Words on several lines, where there may be none. */
export function lines(most = 4_000) {
  return string()
    .transform(emptyIsNothing)
    .max(most, `That is longer than ${most.toLocaleString('en-GB')} characters.`)
    .test('said', SAID, isSaid);
}

/** A whole number from a field; an empty one is nothing. */
export function whole(least: number, most: number) {
  return number()
    .transform((value: unknown, typed: unknown) => (typed === '' || typed === null ? undefined : value))
    .typeError('Write a whole number.')
    .integer('Write a whole number.')
    .min(least, `Not below ${least}.`)
    .max(most, `Not above ${most}.`);
}

export function emailAddress() {
  return line(254).test(
    'address',
    'This is no email address, as ada@house.example.',
    (text) => !text || isAddress(text),
  );
}

/** A number to ring, as it is written; whatever has no digits is none. */
export function phoneNumber() {
  return line(60).test('phone', 'This is no telephone number.', (text) => !text || /\d.*\d.*\d/.test(text));
}

/** An address of the web; one that is typed without its scheme has the usual one. */
export function webAddress() {
  const withScheme = (text: string | undefined) =>
    text && /^[\w-]+(?:\.[\w-]+)+(?:[/?#]|$)/.test(text) ? `https://${text}` : text;
  return line(2_000)
    .transform(withScheme)
    .test(
      'web address',
      'This is no web address, as https://house.example.',
      (text) => !text || (URL.canParse(text) && /^https?:$/.test(new URL(text).protocol)),
    );
}

/** A picture of the business, by the SHA-256 of what it holds. */
export function picture() {
  return line(64).matches(/^[\da-f]{64}$/, { message: 'This is no picture.', excludeEmptyString: true });
}

/** An ISO date. */
export function day() {
  return line(10).test(
    'day',
    'This is no date, as 2026-03-31.',
    (text) => !text || readDay(text) !== undefined,
  );
}

/** A postal address in its parts; one without any is none. Its street is typed as lines of one text. */
export function postalAddress() {
  return object({
    street: array(line().required('This line is empty.'))
      .transform((value: unknown, typed: unknown) =>
        typeof typed === 'string'
          ? typed
              .split('\n')
              .map((one) => one.trim())
              .filter(Boolean)
          : value,
      )
      .max(6, 'A street has at most six lines.'),
    town: line(),
    region: line(),
    postcode: line(20),
    country: line(100),
  })
    .noUnknown()
    .default(undefined)
    .transform((value: Record<string, unknown> | undefined) => {
      const parts = Object.entries(value ?? {}).filter(
        ([, part]) => part !== undefined && part !== '' && !(Array.isArray(part) && part.length === 0),
      );
      return parts.length > 0 ? Object.fromEntries(parts) : undefined;
    })
    .optional();
}

/** A day of the week, 1 Monday to 7 Sunday. */
export function weekday() {
  return number().integer().min(1).max(7).required();
}

/** Another record, by its key. */
export function recordKey() {
  return line(100);
}

/** A sum of minor units, typed as "96" or "96.00". */
export function sum(currency: string) {
  return mixed({ type: 'sum', check: (value): value is number => typeof value === 'number' })
    .transform((value: unknown) =>
      typeof value !== 'string'
        ? emptyIsNothing(value)
        : value.trim()
          ? (readAmount(value, currency) ?? value)
          : undefined,
    )
    .typeError(NO_SUM)
    .test(
      'sum',
      NO_SUM,
      (value) =>
        value === undefined || (Number.isSafeInteger(value) && Math.abs(Number(value)) <= LARGEST_SUM),
    );
}
const NO_SUM = 'Write a sum, as 96 or 96.00.';

/** A sum as a control shows it. */
export function shownSum(amount: number | undefined, currency: string): string {
  return amount === undefined ? '' : decimalString(amount, minorDigits(currency));
}

/** A decimal, exact: kept as it is typed, with a point. */
export function decimal(least: number, most: number) {
  return string()
    .transform((value: unknown) => {
      const typed = emptyIsNothing(typeof value === 'number' ? String(value) : value);
      return typeof typed === 'string' ? typed.trim().replace(',', '.') : typed;
    })
    .matches(/^-?\d{1,9}(?:\.\d{1,6})?$/, 'Write a number, as 2 or 1.5.')
    .test(
      'range',
      `Between ${least} and ${most}.`,
      (text) => text === undefined || (Number(text) >= least && Number(text) <= most),
    );
}

/** A moment with its offset, as pages send it. */
export function moment() {
  return line(40).test(
    'moment',
    'This is no moment.',
    (iso) => iso === undefined || readMoment(iso) !== undefined,
  );
}

/** A moment with its offset, typed as "2026-03-31T09:30" of a clock in the zone. */
export function clockMoment(zone: string) {
  return string()
    .transform((value: unknown) => ofClock(emptyIsNothing(value), zone))
    .test(
      'moment',
      'Write a day and a time.',
      (value) => value === undefined || readMoment(value) !== undefined,
    );
}

function ofClock(value: unknown, zone: string): unknown {
  const read = typeof value === 'string' ? /^(\d{4}-\d\d-\d\d)T(\d\d):(\d\d)$/.exec(value) : undefined;
  if (!read) return value;
  const civil = readDay(read[1]!);
  if (civil === undefined) return value;
  const time = (Number(read[2]) * 60 + Number(read[3])) * 60_000;
  return isoMoment(momentOf({ day: civil, time }, zone), zone);
}

/** A moment as a control for a day and a time shows it. */
export function shownMoment(iso: string | undefined, zone: string): string {
  const moment = iso === undefined ? undefined : readMoment(iso);
  if (moment === undefined) return iso ?? '';
  const { day: at, time } = wallClockOf(moment, zone);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${isoOf(at)}T${two(Math.floor(time / 3_600_000))}:${two(Math.floor(time / 60_000) % 60)}`;
}
