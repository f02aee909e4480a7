import type { Awkward } from './awkward';
import { AWAY } from './away';
import { CHARSETS } from './charsets';
import { FORMS } from './forms';
import { HEADS } from './heads';
import { HOSTILE } from './hostile';
import { REPORTS } from './reports';

/** Every awkward message, by what makes it one. */
export const CORPUS: Readonly<Record<string, readonly Awkward[]>> = {
  'many alphabets': CHARSETS,
  'heads and signs': HEADS,
  'automatic answers': AWAY,
  'delivery reports': REPORTS,
  'forms and files': FORMS,
  'hostile messages': HOSTILE,
};
