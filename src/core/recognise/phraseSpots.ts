import type { KnownFact } from './knownFacts';
import type { AddressData } from '../records/recordsFile';
import { PhraseIndex } from './phrases';
import { surenessOf } from './sureness';
import { foldText } from '../searching/foldText';
import type { Step } from '../document/step';
import { sureOf, type Spots } from './spots';
import type { Zones } from './zones';
import type { Word } from './words';

/** A form of a fact that is found by its words. */
interface Form {
  says: string;
  steps: Step[];
  /** how many characters before and behind its words are none */
  before: number;
  behind: number;
}

/** Facts that are read by what they mean, and not by their words. */
const READ = new Set(['money', 'phone', 'duration', 'percent']);
/** … and forms of days that are. */
const DAY_WORDS = 'from now';
const DAYS_IN_WORDS = /(?:starts_at|due_on|starts_on|ends_on|received_at|last_paid_on)$/;

/** Finds what is said by words: names, titles, services, addresses, numbers of invoices, “tomorrow”. */
export function addPhrases(
  spots: Spots,
  text: string,
  words: readonly Word[],
  facts: readonly KnownFact[],
  zones: Zones,
): void {
  const phrases = facts.flatMap((fact, at) =>
    phrasesOf(fact).map((phrase) => ({ ...phrase, of: { at, ...phrase } })),
  );
  for (const { from, to, words: found, of } of new PhraseIndex(phrases).find(text, words)) {
    for (const { at, forms } of of) {
      const { path, type, forms: all } = facts[at]!;
      const { says, steps, before, behind } =
        forms.find((form) => text.startsWith(form.says, from - form.before)) ?? forms[0]!;
      const place = {
        from: text.startsWith(says.slice(0, before), from - before) ? from - before : from,
        to: text.startsWith(says.slice(says.length - behind), to) ? to + behind : to,
      };
      const written = text.slice(place.from, place.to);
      const sure = surenessOf(
        written,
        text,
        place,
        { path, type, says, own: all[0]!.says, words: found },
        zones,
      );
      if (sure > 0)
        spots.add(place.from, place.to, { fact: at, steps, says, sure: sureOf(sure, says, written) });
    }
  }
}

/** What a fact is found by, with the forms that have the same words. */
function phrasesOf({ type, forms, path, raw }: KnownFact): { words: string; forms: Form[] }[] {
  if (READ.has(type.kind)) return [];
  // No letter counts days that have not come, or have passed.
  if (type.kind === 'number' && Number(raw) <= 0) return [];
  const isDay = type.kind === 'date' || type.kind === 'moment';
  // One word for a day off hardly says this one.
  if (isDay && !DAYS_IN_WORDS.test(path)) return [];
  const phrases = new Map<string, { words: string; forms: Form[] }>();
  for (const { says, steps } of forms) {
    if (isDay && steps[0]?.step !== DAY_WORDS) continue;
    if (type.kind === 'link' && !says.includes('.')) continue;
    const form = {
      says,
      steps,
      before: outside(/^[^\p{L}\p{N}]*/u, says),
      behind: outside(/[^\p{L}\p{N}]*$/u, says),
    };
    const same = phrases.get(foldText(says));
    if (same) same.forms.push(form);
    else phrases.set(foldText(says), { words: says, forms: [form] });
  }
  // Many write where somebody lives without its code.
  const short = type.kind === 'address' ? withoutCode(raw as AddressData) : undefined;
  const [first] = phrases.values();
  return [...phrases.values(), ...(short && first ? [{ words: short, forms: first.forms }] : [])];
}

/** How much at an end of words is no word: “(…)”, “St.”, “+44”. */
function outside(end: RegExp, words: string): number {
  return end.exec(words)![0].length;
}

/** An address as it is said to somebody who knows the place. */
function withoutCode({ street = [], town, postcode, country }: AddressData): string | undefined {
  return street.length && town && (postcode || country) ? [...street, town].join(', ') : undefined;
}
