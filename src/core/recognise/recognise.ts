import type { CompileContext } from '../fill/compile/newScope';
import { otherLanguage } from '../reading/languageGuessed';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import type { Situation } from '../records/which/situation';
import { nearTo } from './cues';
import { CERTAIN, DOUBTFUL, type Find, type Said } from './find';
import { knownFacts, type KnownFact } from './knownFacts';
import { addLinks } from './linkSpots';
import type { LetterText } from './letterText';
import { addPhrases } from './phraseSpots';
import { areAlike, isNamedByAnother, preferenceOf, type Place } from './preference';
import { addRead } from './readSpots';
import { Spots, type Meaning, type Spot } from './spots';
import { isOfRow } from './rowsOfListings';
import { zonesOf, type Zones } from './zones';
import { wordsIn } from './words';

/** What was found in a letter. */
export interface Recognised {
  /** in the order of the text, none within another */
  finds: Find[];
  /** BCP 47, where the letter’s is not the business’s */
  language?: string;
}

/**
 * Finds a client’s facts in a letter that was written to them: names, days, times, sums, numbers and addresses in any of their
 * forms, and says which field, in which form, each is.
 * @param letter its text, of which a paragraph ends with an empty line; the words of it that lead somewhere; what is a listing
 * @param situation the records it is about; what they do not lead to is not looked for
 * @returns each with how certain it is: from CERTAIN on, filling the field again says the very words
 */
export function recognise(
  { text, links, listed }: Pick<LetterText, 'text' | 'links' | 'listed'>,
  situation: Situation,
  context: CompileContext,
): Recognised {
  const { business, zone, today } = situation.book;
  const home = business.locale || SCHEMA_DEFAULTS.locale;
  const language = otherLanguage(text, home);
  const said = language === undefined ? {} : { language };
  const facts = knownFacts({ situation, context, ...said });
  const locale = language ?? home;
  const zones = zonesOf(text, locale, listed);
  const spots = new Spots();
  addPhrases(spots, text, wordsIn(text), facts, zones);
  addLinks(spots, text, links, facts);
  addRead(spots, text, facts, {
    locale,
    home,
    zone,
    currency: business.currency || SCHEMA_DEFAULTS.currency,
    today,
  });
  const chosen = spots.all().flatMap((spot) => choose(spot, { text, facts, zones, situation }) ?? []);
  const finds = supported(apart(chosen), text).filter(({ certainty }) => certainty >= DOUBTFUL);
  return { finds, ...said };
}

interface Around {
  text: string;
  facts: readonly KnownFact[];
  zones: Zones;
  situation: Situation;
}

/** Two facts that differ by less are both possible. */
const CLOSE = 0.12;
/** What one of two possible facts is, whatever else speaks for it. */
const ONE_OF_TWO = 0.78;
/** … and what a fact is of a record that only another one names: the client’s last visit, whoever is responsible. */
const BY_ANOTHER = 0.85;
/** What equals a fact and hardly means it. */
const BY_CHANCE = 0.45;
/** … and what is less likely by more than this is not asked about. */
const FAR = 0.5;
const MOST_OTHERS = 4;

/** Which fact words say: the likeliest at their place. */
function choose({ from, to, means }: Spot, { text, facts, zones, situation }: Around): Find | undefined {
  const place: Place = { text, from, to, zones, near: nearTo(text, from, to) };
  const weighed = means
    .filter(({ sure }) => sure > 0)
    .map((meaning) => ({
      meaning: {
        ...meaning,
        sure: Math.min(meaning.sure, mostSure(meaning, facts[meaning.fact]!, situation)),
      },
      fact: facts[meaning.fact]!,
      weight: preferenceOf(facts[meaning.fact]!, place, situation, facts) + meaning.sure,
    }))
    .sort((a, b) => b.weight - a.weight);
  const [best, ...others] = weighed;
  if (!best) return undefined;
  const rival = others.find(({ fact }) => !areAlike(fact.path, best.fact.path));
  const isOneOfTwo = rival !== undefined && best.weight - rival.weight < CLOSE;
  const find: Find = {
    start: from,
    end: to,
    words: text.slice(from, to),
    ...saidBy(best),
    certainty: isOneOfTwo ? Math.min(best.meaning.sure, ONE_OF_TWO) : best.meaning.sure,
    others: unlike(
      best.fact,
      others.filter(({ weight }) => best.weight - weight < FAR),
    )
      .slice(0, MOST_OTHERS)
      .map(saidBy),
  };
  return isOfRow(find, best.fact, text, zones) ? undefined : find;
}

/** The others that say something else than the best does, and than one another. */
function unlike<One extends { fact: KnownFact }>(best: KnownFact, others: readonly One[]): One[] {
  const kept: One[] = [];
  for (const other of others)
    if (![best, ...kept.map(({ fact }) => fact)].some(({ path }) => areAlike(path, other.fact.path)))
      kept.push(other);
  return kept;
}

/** How sure a fact can be by whose it is. */
function mostSure({ steps }: Meaning, { path, type: { kind } }: KnownFact, { start }: Situation): number {
  // An answer to somebody who asks tells what would be, not what was.
  const isOfBefore =
    start.kind === 'enquiry' && /^(?:booking|invoice|project|client\.last_booking)\./.test(path);
  const isVague = ['money', 'duration', 'number'].includes(kind) || steps[0]?.step === 'weekday';
  if (isOfBefore && isVague) return BY_CHANCE;
  return isNamedByAnother(path) ? BY_ANOTHER : 1;
}

function saidBy({ meaning: { steps, says }, fact }: { meaning: Meaning; fact: KnownFact }): Said {
  return { path: fact.path, steps, says, label: fact.label };
}

/** The longest of those that share words, and the surer of two that are as long. */
function apart(finds: readonly Find[]): Find[] {
  const kept: Find[] = [];
  const likely = finds.filter(({ certainty }) => certainty >= 0.4);
  const byLength = likely.sort((a, b) => b.end - b.start - (a.end - a.start) || b.certainty - a.certainty);
  // By their places, so that many are told apart in little time.
  const taken = new Set<number>();
  for (const find of byLength) {
    let free = true;
    for (let at = find.start; free && at < find.end; at++) free = !taken.has(at);
    if (!free) continue;
    for (let at = find.start; at < find.end; at++) taken.add(at);
    kept.push(find);
  }
  return kept.sort((a, b) => a.start - b.start);
}

/** What says little by itself says a fact where the same sentence says more of it: “Tuesday at 09:30”. */
const SUPPORTED = 0.92;
/** So many finds before and behind are looked at. */
const NEIGHBOURS = 4;

function supported(finds: readonly Find[], text: string): Find[] {
  return finds.map((find, i) => {
    if (find.certainty >= CERTAIN || find.words !== find.says || !isOfDay(find)) return find;
    const isNear = (other: Find) =>
      other.certainty >= CERTAIN &&
      isOfDay(other) &&
      ownerOf(other.path) === ownerOf(find.path) &&
      !/[.!?]\s|\n\s*\n/u.test(text.slice(Math.min(other.end, find.end), Math.max(other.start, find.start)));
    const around = finds.slice(Math.max(0, i - NEIGHBOURS), i + NEIGHBOURS + 1);
    return around.some(isNear) ? { ...find, certainty: SUPPORTED } : find;
  });
}

function isOfDay({ path }: Find): boolean {
  return /(?:_at|_on|\.date|_time)$/.test(path);
}

function ownerOf(path: string): string {
  return path.slice(0, path.lastIndexOf('.'));
}
