import { partName, type PersonName } from './partName';

/** What a record may say of a person's name; every part optional, an empty string is a missing part. */
export interface Named {
  kind?: string;
  name?: string;
  full_name?: string;
  given_name?: string;
  family_name?: string;
  preferred_name?: string;
  honorific?: string;
}

/**
 * How a letter greets someone: the preferred name, else the given name (both for a couple), else honorific and
 * family name, else the name as it stands. Undefined only when the record has no name at all.
 */
export function greetingName(record: Named, and: (names: string[]) => string): string | undefined {
  if (record.preferred_name) return record.preferred_name;
  if (record.given_name) return record.given_name;
  const full = (record.name || record.full_name)?.trim();
  if (full && record.kind !== 'organisation' && !record.family_name) {
    const { persons } = partName(full);
    const given = persons.map((person) => person.given);
    if (given.every(Boolean)) return and(given as string[]);
    return formal(persons, record.honorific, and) ?? full;
  }
  if (record.honorific && record.family_name) return `${record.honorific} ${record.family_name}`;
  return full || record.family_name || undefined;
}

/** The name in full: as written, else the parts in order. */
export function fullName(record: Named): string | undefined {
  const whole = (record.full_name || record.name)?.trim();
  if (whole) return whole;
  const { given_name, preferred_name, family_name } = record;
  const given = given_name || preferred_name;
  return given && family_name ? `${given} ${family_name}` : given || family_name || undefined;
}

function formal(
  persons: PersonName[],
  honorific: string | undefined,
  and: (names: string[]) => string,
): string | undefined {
  const [first, second] = persons;
  if (second && first?.honorific && second.honorific && first.family === second.family) {
    return `${and([first.honorific, second.honorific])} ${second.family}`;
  }
  const named = persons.map((person) => {
    const title = person.honorific || (persons.length === 1 ? honorific : undefined);
    if (person.given) return person.given;
    return title && person.family ? `${title} ${person.family}` : undefined;
  });
  return named.every(Boolean) ? and(named as string[]) : undefined;
}
