import { SCHEMA_DEFAULTS } from '../../records/defaults';
import type { RecordBook } from '../../records/recordBook';
import { Formats } from './formats';

const made = new Map<string, Formats>();
const ofBook = new WeakMap<RecordBook, Map<string, Formats>>();

/**
 * The formats of a business, in a letter's language where that has one. They are dear to make and alike for every
 * letter, so they are kept.
 */
export function formatsOf(book: RecordBook, language = ''): Formats {
  let own = ofBook.get(book);
  if (!own) ofBook.set(book, (own = new Map()));
  let formats = own.get(language);
  if (!formats) own.set(language, (formats = formatsFor(book, language)));
  return formats;
}

/** Of businesses with the same settings, and of every book of one. */
function formatsFor(book: RecordBook, language: string): Formats {
  const {
    locale: home = SCHEMA_DEFAULTS.locale,
    currency = SCHEMA_DEFAULTS.currency,
    hour_cycle,
  } = book.business;
  const settings = {
    locale: language || home,
    home,
    zone: book.zone,
    currency,
    hourCycle: hour_cycle === 12 ? (12 as const) : (24 as const),
  };
  const key = JSON.stringify(settings);
  let formats = made.get(key);
  if (!formats) made.set(key, (formats = new Formats(settings)));
  return formats;
}
