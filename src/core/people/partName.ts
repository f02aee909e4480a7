import { HONORIFICS, HOUSEHOLD, JOINERS, PARTICLES, SUFFIXES } from './namingCustoms';

interface PersonName {
  honorific?: string;
  given?: string;
  family?: string;
  suffix?: string;
}

/** A name in parts: one person, or several in the order written. */
export interface PartedName {
  persons: [PersonName, ...PersonName[]];
}

/** What is longer is no name, and is left as it is. */
const LONGEST = 200;

/**
 * Parts a full name that is written as one string: "Dr. Marta de la Cruz", "Brandreth, Hale", "Ada and Tom Reyes",
 * "Ada, Tom and Nell Reyes", "Mr and Mrs Reyes". A single word is a given name. An organisation's name must not be given to it.
 */
export function partName(full: string): PartedName {
  const name = full.normalize('NFC').replace(/\s+/gu, ' ').trim();
  if (name.length > LONGEST) return { persons: [{ given: name }] };
  if (HOUSEHOLD.test(name)) return { persons: [{ family: name }] };
  const halves = splitCouple(name);
  if (!halves) return { persons: [partPerson(name)] };
  const [one, two] = halves;
  const first = one
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean);
  // "Ada, Tom and Nell Reyes" is three people, as the last has the family name; "Reyes, Ada and Tom" is two.
  return first.length > 1 && partPerson(two).family
    ? { persons: partSeveral([...first, two]) }
    : { persons: partCouple(one, two) };
}

/** Whether a given name is nothing but initials, by which nobody is greeted: "J.", "J. R.", "JR" is none. */
export function isInitials(given: string): boolean {
  return /^\p{Lu}\.?(?:[\s-]*\p{Lu}\.?)*$/u.test(given) && !/\p{Lu}{2}/u.test(given);
}

/** All share the family name of the last unless they have one of their own. */
function partSeveral(names: string[]): [PersonName, ...PersonName[]] {
  const last = partPerson(names.at(-1)!);
  return names.map((name, i) => {
    if (i === names.length - 1) return last;
    if (name.split(' ').every(isHonorific)) return clean({ honorific: name, family: last.family });
    const person = partPerson(name);
    return person.family ? person : clean({ ...person, family: last.family });
  }) as [PersonName, ...PersonName[]];
}

/** The two names around a joining word; undefined where it belongs to one name, as in "von und zu Arnhold". */
function splitCouple(name: string): [string, string] | undefined {
  const [one, joiner, two, ...more] = name.split(JOINERS);
  if (!one || !joiner || !two || more.length) return undefined;
  if (isParticle(one.split(' ').at(-1)!)) return undefined;
  // "José Ortega y Gasset" is one person, "Inés y Tomás Ortega" are two.
  if ((joiner === 'y' || joiner === 'e') && one.includes(' ') && !two.includes(' ')) return undefined;
  return [one, two];
}

/** Two people; the family name may stand before both of them. */
function partCouple(one: string, two: string): [PersonName, ...PersonName[]] {
  if (one.includes(',') && !two.includes(',')) {
    // "Reyes, Ada and Tom"
    const first = partPerson(one);
    return [first, { ...partPerson(two), family: first.family }];
  }
  return partSeveral([one, two]);
}

function partPerson(name: string): PersonName {
  const comma = name.indexOf(',');
  if (comma > 0) {
    const after = name.slice(comma + 1).trim();
    if (after && !after.split(/[ ,]+/).every(isSuffix)) {
      // "Meulen, Joost van der": what the family name begins with may stand at the end.
      const words = after.split(' ');
      const particles: string[] = [];
      while (words.length > 1 && isParticle(words.at(-1)!)) particles.unshift(words.pop()!);
      const given = partPerson(words.join(' '));
      return clean({
        ...given,
        family: [...particles, name.slice(0, comma).trim()].join(' '),
        given: joined(given.given, given.family),
      });
    }
  }
  let words = name.replaceAll(',', ' ').split(' ').filter(Boolean);
  const honorific: string[] = [];
  while (words.length > 1 && isHonorific(words[0]!)) honorific.push(words.shift()!);
  const suffix: string[] = [];
  while (words.length > 1 && isSuffix(words.at(-1)!)) suffix.unshift(words.pop()!);
  if (words.length === 1 && honorific.length) {
    return clean({ honorific: honorific.join(' '), family: words[0], suffix: suffix.join(' ') });
  }
  const start = familyStart(words);
  const given = words.slice(0, start);
  words = words.slice(start);
  return clean({
    honorific: honorific.join(' '),
    given: given.join(' '),
    family: words.join(' '),
    suffix: suffix.join(' '),
  });
}

/** Where the family name begins: at the first particle after a given name, else at the last word. */
function familyStart(words: string[]): number {
  if (words.length < 2) return words.length;
  if (isParticle(words[0]!) && words[0] === words[0]!.toLowerCase()) return 0;
  for (let i = 1; i < words.length - 1; i++) {
    // y and e join two family names, the first of which stands before them.
    if (isParticle(words[i]!)) return /^[ye]$/.test(words[i]!) && i > 1 ? i - 1 : i;
  }
  return words.length - 1;
}

function isHonorific(word: string): boolean {
  return HONORIFICS.has(bare(word));
}

function isSuffix(word: string): boolean {
  // "Ma" and "Ba" are family names; the degrees are written in capitals or with stops.
  return SUFFIXES.has(bare(word)) && (word.length > 2 || word === word.toUpperCase() || word.includes('.'));
}

function isParticle(word: string): boolean {
  // A single capital is a middle initial, but for the Irish Ó.
  if (word.length === 1 && word === word.toUpperCase() && !/[ÓÒ]/u.test(word)) return false;
  return PARTICLES.has(word.toLowerCase().replace(/’/gu, "'").replace(/'$/u, '')) || word === "'t";
}

function bare(word: string): string {
  return word.toLowerCase().replace(/[.,]/g, '');
}

function joined(...parts: (string | undefined)[]): string | undefined {
  return parts.filter(Boolean).join(' ') || undefined;
}

function clean(person: PersonName): PersonName {
  return Object.fromEntries(Object.entries(person).filter(([, value]) => value)) as PersonName;
}
