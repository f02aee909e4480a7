import { isoOf } from '../dates/civil';
import { readTypedDay } from '../dates/readTypedDay';
import type { BlankType } from '../document/templateDocument';
import { readAnswer, typedAnswer } from '../fill/blanks';
import { formatsOf } from '../fill/formats/formatsOf';
import { pointOf, readWrittenSum } from '../money/readWrittenSum';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import type { RecordBook } from '../records/recordBook';

/**
 * Reads what its writer typed into a blank, days and figures as people of the business write them.
 * @returns the answer as a letter keeps it; or what was expected, in words that follow "Write"
 */
export function readTypedAnswer(
  typed: string,
  type: BlankType,
  book: RecordBook,
): { answer: string } | { expected: string } {
  const { currency } = readingOf(book);
  const answer = asKept(typed, type, book);
  const read = readAnswer(answer, type, currency);
  if ('value' in read) return { answer };
  const inAWeek = formatsOf(book).date(book.today + 7, 'day and month');
  return type.kind === 'date' ? { expected: `a day, as “${inAWeek}”` } : read;
}

/** A kept day as somebody of the business would type it, to be read again. @param iso ISO 8601 */
export function typedDay(iso: string, book: RecordBook): string {
  const reading = readingOf(book);
  const day = readTypedDay(iso, reading);
  if (day === undefined) return iso;
  const written = formatsOf(book).date(day, 'long date');
  return readTypedDay(written, reading) === day ? written : iso;
}

/** What was typed, in the one form that every business's letters keep; empty: it has none. */
function asKept(typed: string, type: BlankType, book: RecordBook): string {
  const { locale, currency, today } = readingOf(book);
  switch (type.kind) {
    case 'date': {
      const day = readTypedDay(typed, { locale, today });
      return day === undefined ? '' : isoOf(day);
    }
    case 'money': {
      const sum = readWrittenSum(typed, currency, locale);
      return sum === undefined ? '' : typedAnswer(sum, type, currency);
    }
    case 'number': {
      const point = pointOf(locale);
      // Whether "1.500" is a thousand and a half or one and a half is not guessed.
      return point !== '.' && /\.\d{3}$/.test(typed.trim()) ? '' : typed.replace(point, '.');
    }
    default:
      return typed;
  }
}

function readingOf({ business, today }: RecordBook) {
  const { locale = SCHEMA_DEFAULTS.locale, currency = SCHEMA_DEFAULTS.currency } = business;
  return { locale, currency, today };
}
