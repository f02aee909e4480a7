import { isStartingKind, type StartingKind } from '../records/recordKind';
import type { KeptTemplate } from './template';

/** What a key of a blank letter begins with; no template that is kept has such a key. */
const MARK = ':blank';

/** How a letter greets, by language. */
const GREETINGS = new Map([
  ['en', 'Hello'],
  ['de', 'Guten Tag'],
  ['fr', 'Bonjour'],
]);
/** … and in a language that is none of these. */
const GREETING = 'Hello';

const made = new Map<string, KeptTemplate>();

/**
 * The key of a letter without a template, from a kind of record.
 * @param language what its reader reads; absent: the business's own, as when we have no greeting in it
 * @param home the business's locale
 */
export function blankLetterKey(from: StartingKind, language: string | undefined, home: string): string {
  const reads = short(language ?? home);
  return [MARK, from, ...(GREETINGS.has(reads) && reads !== short(home) ? [reads] : [])].join(' ');
}

/** Whether a key is one of a letter without a template. */
export function isBlankLetter(key: string): boolean {
  return key.startsWith(`${MARK} `);
}

/** A letter without a template: a greeting and a signature, and everything else by hand. Undefined: the key is of none. */
export function blankLetter(key: string, home: string): KeptTemplate | undefined {
  const [mark, from = '', language] = key.split(' ');
  const greeting = GREETINGS.get(language ?? short(home)) ?? GREETING;
  if (mark !== MARK || !isStartingKind(from) || (language !== undefined && !GREETINGS.has(language)))
    return undefined;
  const place = `${key} ${greeting}`;
  const known = made.get(place);
  if (known) return known;
  const blank: KeptTemplate = {
    key,
    version: 1,
    head: {
      name: 'A blank letter',
      group: '',
      startsFrom: from,
      subject: [],
      ...(language === undefined ? {} : { language }),
    },
    document: {
      type: 'doc',
      content: [
        {
          type: 'paragraph',
          content: [
            { type: 'text', text: `${greeting} ` },
            { type: 'field', attrs: { path: 'recipient.greeting_name', steps: [] } },
            { type: 'text', text: ',' },
          ],
        },
        { type: 'paragraph', content: [{ type: 'signature' }] },
      ],
    },
  };
  made.set(place, blank);
  return blank;
}

function short(locale: string): string {
  return locale.slice(0, 2).toLowerCase();
}
