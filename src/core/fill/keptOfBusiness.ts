import type { RecordBook } from '../records/recordBook';
import type { TemplateHead } from '../template/template';
import type { Formats } from './formats/formats';
import { formatsOf } from './formats/formatsOf';

/** What a field said of the business or somebody in it. */
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
 * fields of the business last said. Its own facts stand in letter after letter, so they are found and escaped once (11 % of
 * the time for HTML alone, 6 % for everything; docs/bench.md, “Fast paths”).
 */
export interface KeptOfBusiness {
  formats: Formats;
  words: (KeptWords | undefined)[];
}

const byTemplate = new WeakMap<object, WeakMap<RecordBook, KeptOfBusiness>>();

/** A book's records are never changed in place: what was found in it holds as long as it does. */
export function keptOfBusiness(template: { head: TemplateHead }, book: RecordBook): KeptOfBusiness {
  let own = byTemplate.get(template);
  if (!own) byTemplate.set(template, (own = new WeakMap()));
  let shared = own.get(book);
  if (!shared) own.set(book, (shared = { formats: formatsOf(book, template.head.language), words: [] }));
  return shared;
}
