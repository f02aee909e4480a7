import { SIGNATURE, type KnownFact } from './knownFacts';
import { isIn, type Zones } from './zones';

/** Given names and family names that are ordinary words, too, in the languages of letters. */
const ORDINARY = new Set(
  'will may june april august mark rose grace hope joy bill art sue pat dawn summer faith may jack frank rich drew grant iris ivy lily daisy olive holly heather ruby pearl amber violet basil ray dean earl miles guy rob bob nick dan page wood woods field fields green brown white black gray grey young long short king bishop price day west north hill hills lane ford stone wells rivers marsh park parks church mill miller cook baker smith gut lang kurz klein gross stark winter sommer herbst engel bach berg stein wolf fuchs koch wagner ernst sonntag freitag'.split(
    ' ',
  ),
);

/** What words say, as far as it tells how surely. */
export interface Told {
  path: string;
  type: KnownFact['type'];
  says: string;
  /** what the fact says in its own form */
  own: string;
  /** the words that were found, folded */
  words: readonly string[];
}

/** How surely words say a fact, 0 to 1, by what they are and what stands beside them. */
export function surenessOf(
  written: string,
  text: string,
  { from, to }: { from: number; to: number },
  { path, type, says, own, words }: Told,
  zones: Zones,
): number {
  if (path === SIGNATURE) return says === written && text.slice(to).trim() === '' ? 0.99 : 0;
  const count = words.length;
  if (type.kind === 'date' || type.kind === 'moment')
    return /^(?:today|heute|aujourd)/iu.test(written) ? 0.45 : 0.72;
  if (type.kind === 'number') return numberSureness(written, path);
  if (type.kind === 'link') return 0.97;
  if (isName(path)) return nameSureness(written, text, { from, to }, words, zones);
  // “Dr” is one before a name.
  if (/\.honorific$/.test(path))
    return says.replace('.', '') === written.replace('.', '') && /^\.?\s\p{L}/u.test(text.slice(to))
      ? 0.9
      : 0;
  if (/@/.test(says)) return 0.99;
  if (/\p{L}/u.test(written) && /\p{N}/u.test(written)) return 0.97;
  if (/^\p{N}+$/u.test(written)) return written.length >= 4 ? 0.85 : 0;
  if (count >= 3) return 0.96;
  if (count === 2) return says === written || written.length >= 9 ? 0.95 : 0.8;
  // One word by itself.
  if (written.length < 4) return 0;
  if (/\.town$/.test(path)) return 0.8;
  if (/\.(?:region|country|street|trade|role|title)$/.test(path) && !path.startsWith('project'))
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
  words: readonly string[],
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
  if (neighbour && !isTitled && !beginsSentence && words.length < 3) return 0.4;
  if (/^\s\p{Lu}[\p{Ll}’'-]+/u.test(behind) && !/^\s(?:I|Und|And)(?!\p{L})/u.test(behind)) return 0.4;
  if (words.length > 1) return 0.97;
  if (written.length < 2) return 0;
  if (ORDINARY.has(words[0]!)) return /(?:^|[.!?:]\s|\n)\s*$/u.test(before) ? 0.55 : 0.75;
  return isTitled ? 0.95 : 0.92;
}
