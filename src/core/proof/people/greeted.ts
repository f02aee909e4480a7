import { fullName, greetingName } from '../../people/names';
import type { Situation } from '../../records/which/situation';
import { cuesOf } from '../../reading/cues';
import { bodyOf } from '../reading/lines';
import type { Check } from '../proofMark';

/** Only what stands in the first lines is a greeting. */
const FIRST_LINES = 3;
/** … and one that is longer, in UTF-16 units. */
const LONGEST = 120;
/** More words than these are a sentence. */
const MOST_WORDS = 8;

/** Whoever is greeted must be whoever it goes to. */
export const checkGreeted: Check = ({ lines, language }, situation) => {
  const cues = cuesOf(language);
  const names = namesOf(situation);
  if (!cues || names.length === 0) return [];
  for (const { index, text } of bodyOf(lines).slice(0, FIRST_LINES)) {
    const line = text.split('\n')[0]!;
    const greeted = line.length > LONGEST ? undefined : cues.greeting.exec(line)?.[1];
    if (greeted === undefined || greeted.includes('\uFFFC') || greeted.split(/\s+/).length > MOST_WORDS)
      continue;
    if (cues.anybody.test(greeted)) return [];
    const words = wordsOf(greeted);
    const from = line.indexOf(greeted);
    const missing = names.filter(({ parts }) => !parts.some((part) => words.has(part)));
    if (missing.length === 0) return [];
    const whom = missing.map(({ name }) => name).join(' and ');
    return [
      {
        kind: 'query',
        id: `greeted ${greeted} ${whom}`,
        message: `It greets “${greeted}” and goes to ${whom}.`,
        at: { line: index, from, to: from + greeted.length },
        ...(situation.recipients.length === 1 && missing[0]!.greeting
          ? { cure: { words: `Write “${missing[0]!.greeting}”`, put: missing[0]!.greeting } }
          : {}),
      },
    ];
  }
  return [];
};

interface Greeted {
  name: string;
  greeting?: string;
  /** any of these in a greeting greets them */
  parts: string[];
}

function namesOf({ recipients, client, enquiry }: Situation): Greeted[] {
  return recipients.flatMap(({ record: { data } }) => {
    const name = fullName(data);
    if (name === undefined) return [];
    const greeting = greetingName(data, (all) => all.join(' and '));
    const asked = enquiry?.record.name ?? '';
    // A client may be greeted by what its record is called, too: the Wray family.
    const all = [
      name,
      greeting ?? '',
      data.preferred_name ?? '',
      client?.record.key === data.key ? asked : '',
    ];
    return [{ name, ...(greeting ? { greeting } : {}), parts: [...wordsOf(all.join(' '))] }];
  });
}

/** The words of a name that tell it, without accents and small words. */
function wordsOf(name: string): Set<string> {
  const plain = name.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
  return new Set((plain.match(/[\p{L}\p{N}]+/gu) ?? []).filter((word) => !SMALL.has(word)));
}

const SMALL = new Set(
  'mr mrs ms miss mx dr prof herr frau m mme mlle and und et the of de van der von la'.split(' '),
);
