import { array, number, object, string } from 'yup';
import { isAddress } from '../../addressing/addresses';
import { readDay } from '../../dates/civil';

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
