import type { RecordBook } from '../records/recordBook';
import type { TemplateHead } from '../template/template';
import type { Formats } from './formats/formats';
import { formatsOf } from './formats/formatsOf';

/** What a field said of the house. */
export interface KeptWords {
  /** the record that it was said of */
  owner: unknown;
  stored: unknown;
  /** undefined where it is missing */
  said: string | undefined;
  html: string;
}

/**
 * What the letters from one template and one book have in common: how values are written, and by number what the
 * fields of the house last said. Its own facts stand in letter after letter, so they are found and escaped once.
 */
export interface House {
  formats: Formats;
  words: (KeptWords | undefined)[];
}

const houses = new WeakMap<object, WeakMap<RecordBook, House>>();

/** A book's records are never changed in place: what was found in it holds as long as it does. */
export function houseOf(template: { head: TemplateHead }, book: RecordBook): House {
  let own = houses.get(template);
  if (!own) houses.set(template, (own = new WeakMap()));
  let house = own.get(book);
  if (!house) own.set(book, (house = { formats: formatsOf(book, template.head.language), words: [] }));
  return house;
}
