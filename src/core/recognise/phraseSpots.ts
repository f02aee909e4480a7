import type { KnownFact } from './knownFacts';
import { SIGNATURE } from './knownFacts';
import type { AddressData } from '../records/recordsFile';
import { PhraseIndex, type Phrase } from './phrases';
import { sureOf, type Spots } from './spots';
import { isIn, type Zones } from './zones';
import { wordsIn, type Word } from './words';

/** A form of a fact that is found by its words. */
interface Form {
  fact: number;
  form: number;
}

/** Facts that are read by what they mean, and not by their words. */
const READ = new Set(['money', 'phone', 'duration', 'percent']);
/** … and forms of days that are. */
const DAY_WORDS = 'from now';

/** Given names and family names that are ordinary words, too, in the languages of letters. */
const ORDINARY = new Set(
  'will may june april august mark rose grace hope joy bill art sue pat dawn summer faith may jack frank rich drew grant iris ivy lily daisy olive holly heather ruby pearl amber violet basil ray dean earl miles guy rob bob nick dan page wood woods field fields green brown white black gray grey young long short king bishop price day west north hill hills lane ford stone wells rivers marsh park parks church mill miller cook baker smith gut lang kurz klein gross stark winter sommer herbst engel bach berg stein wolf fuchs koch wagner ernst sonntag freitag'.split(
    ' ',
  ),
);

/** Finds what is said by words: names, titles, services, addresses, numbers of invoices, “tomorrow”. */
export function addPhrases(
  spots: Spots,
  text: string,
  words: readonly Word[],
  facts: readonly KnownFact[],
  zones: Zones,
): void {
  const phrases = facts.flatMap(({ type, forms, path, raw }, fact) =>
    forms.flatMap(({ says, steps }, form): Phrase<Form>[] => {
      if (READ.has(type.kind)) return [];
      // No letter counts days that have not come, or have passed.
      if (type.kind === 'number' && Number(raw) <= 0) return [];
      const isDay = type.kind === 'date' || type.kind === 'moment';
      if (isDay && steps[0]?.step !== DAY_WORDS) return [];
      // One word for a day off hardly says this one.
      if (isDay && !/(?:starts_at|due_on|starts_on|ends_on|received_at|last_paid_on)$/.test(path)) return [];
      if (type.kind === 'link' && !says.includes('.')) return [];
      // Many write where somebody lives without its code.
      const short = type.kind === 'address' && form === 0 ? withoutCode(raw as AddressData) : undefined;
      return [says, ...(short === undefined ? [] : [short])].map((words) => ({ words, of: { fact, form } }));
    }),
  );
  for (const { from, to, of } of new PhraseIndex(phrases).find(text, words)) {
    const { forms, path, type } = facts[of.fact]!;
    const { says, steps } = forms[of.form]!;
    const found = wholeWords(text, from, to, says);
    const written = text.slice(found.from, found.to);
    const sure = surenessOf(written, text, found, { path, type, says, own: forms[0]!.says }, zones);
    if (sure > 0)
      spots.add(found.from, found.to, { fact: of.fact, steps, says, sure: sureOf(sure, says, written) });
  }
}

/** An address as it is said to somebody who knows the place. */
function withoutCode({ street = [], town, postcode, country }: AddressData): string | undefined {
  return street.length && town && (postcode || country) ? [...street, town].join(', ') : undefined;
}

/** What stands at its ends and is no word: “(…)”, “St.”, “+44”. */
function wholeWords(text: string, from: number, to: number, says: string): { from: number; to: number } {
  const before = /^[^\p{L}\p{N}]*/u.exec(says)![0];
  const behind = /[^\p{L}\p{N}]*$/u.exec(says)![0];
  const begins = before && text.slice(from - before.length, from) === before ? from - before.length : from;
  const ends = behind && text.slice(to, to + behind.length) === behind ? to + behind.length : to;
  return { from: begins, to: ends };
}

interface Told {
  path: string;
  type: KnownFact['type'];
  says: string;
  /** what the fact says in its own form */
  own: string;
}

function surenessOf(
  written: string,
  text: string,
  { from, to }: { from: number; to: number },
  { path, type, says, own }: Told,
  zones: Zones,
): number {
  if (path === SIGNATURE) return says === written && text.slice(to).trim() === '' ? 0.99 : 0;
  const count = wordsIn(written).length;
  if (type.kind === 'date' || type.kind === 'moment')
    return /^(?:today|heute|aujourd)/iu.test(written) ? 0.45 : 0.72;
  if (type.kind === 'number') return numberSureness(written, path);
  if (type.kind === 'link') return 0.97;
  if (isName(path)) return nameSureness(written, text, { from, to }, zones);
  if (/@/.test(says)) return 0.99;
  if (/\p{L}/u.test(written) && /\p{N}/u.test(written)) return 0.97;
  if (/^\p{N}+$/u.test(written)) return written.length >= 4 ? 0.85 : 0;
  if (count >= 3) return 0.96;
  if (count === 2) return says === written || written.length >= 9 ? 0.95 : 0.8;
  // One word by itself.
  if (written.length < 4) return 0;
  if (/\.town$/.test(path)) return 0.8;
  if (/\.(?:region|country|street|trade|honorific|role|title)$/.test(path) && !path.startsWith('project'))
    return /^\p{Lu}/u.test(own) ? 0.6 : 0;
  if (/\.(?:service|title)$/.test(path)) return 0.9;
  return /^\p{Lu}/u.test(says) && /^\p{Lu}/u.test(written) ? 0.85 : 0.7;
}

function numberSureness(written: string, path: string): number {
  // “9 days” are counted; a figure alone says little.
  if (/\.days_/.test(path)) return /\p{L}/u.test(written) ? 0.85 : 0;
  const figures = written.replace(/\D/g, '').length;
  return figures >= 4 ? 0.85 : figures === 3 ? 0.75 : 0;
}

function isName(path: string): boolean {
  return /(?:^|[._])name$/.test(path);
}

const TITLES = /(?:^|[\s(])(?:Mr|Mrs|Ms|Miss|Mx|Dr|Prof|Herr|Herrn|Frau|M|Mme|Mlle|Monsieur|Madame)\.?\s$/u;

function nameSureness(
  written: string,
  text: string,
  { from, to }: { from: number; to: number },
  zones: Zones,
): number {
  // “will” is no Will.
  if (!/^[\p{Lu}\P{L}]/u.test(written)) return /^\p{Ll}/u.test(written) && written.includes(' ') ? 0.9 : 0;
  const greeted = isIn(zones.greeting, from, to);
  if (greeted || isIn(zones.signedOff, from, to)) return 0.98;
  const before = text.slice(Math.max(0, from - 40), from);
  const behind = text.slice(to, to + 40);
  const isTitled = TITLES.test(before);
  // Part of another’s name: “Tom Hartigan” is not our Oda.
  const neighbour = /(\p{Lu}[\p{L}’'-]+)\s$/u.exec(before);
  const beginsSentence = neighbour && /(?:^|[.!?:]\s|\n)\s*$/u.test(before.slice(0, neighbour.index));
  if (neighbour && !isTitled && !beginsSentence && wordsIn(written).length < 3) return 0.4;
  if (/^\s\p{Lu}[\p{Ll}’'-]+/u.test(behind) && !/^\s(?:I|Und|And)(?!\p{L})/u.test(behind)) return 0.4;
  const words = wordsIn(written);
  if (words.length > 1) return 0.97;
  if (written.length < 2) return 0;
  if (ORDINARY.has(words[0]!.folded)) return /(?:^|[.!?:]\s|\n)\s*$/u.test(before) ? 0.55 : 0.75;
  return isTitled ? 0.95 : 0.92;
}
