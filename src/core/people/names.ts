import { isInitials, partName, type PartedName } from './partName';

/** What a record may say of a person's name; every part optional, an empty string is a missing part. */
export interface Named {
  /** a name of an organisation, or of a firm (partner), is never parted */
  kind?: string;
  name?: string;
  full_name?: string;
  given_name?: string;
  family_name?: string;
  preferred_name?: string;
  honorific?: string;
}

type And = (names: string[]) => string;

/**
 * How a letter greets someone: the preferred name, else the given names of all ("Ada, Tom and Nell"), else honorific
 * and family name, else the name as it stands. Undefined only when the record has no name at all.
 */
export function greetingName(record: Named, and: And): string | undefined {
  if (record.preferred_name) return record.preferred_name;
  const given = givenName(record, and);
  if (given) return given;
  const [honorific, family] = [honorificOf(record), familyName(record)];
  const written = (record.name || record.full_name)?.trim();
  // Several people are greeted as they were written, with the word that joins them: "Mr and Mrs Reyes".
  if (honorific && family && (!written || !severalIn(record))) return `${withoutStop(honorific)} ${family}`;
  return greetedAsWritten(record, written) || record.family_name || undefined;
}

/** The given name as the record has it, else from its one string: all of them for several people; an initial is none. */
export function givenName(record: Named, and: And): string | undefined {
  if (record.given_name) return isInitials(record.given_name) ? undefined : record.given_name;
  const given = persons(record).map((person) => person.given);
  return given.length && given.every((name) => name && !isInitials(name))
    ? and(given as string[])
    : undefined;
}

/** The family name as the record has it, else from its one string: where several people share it, the shared one. */
export function familyName(record: Named): string | undefined {
  if (record.family_name) return record.family_name;
  const families = new Set(persons(record).map((person) => person.family));
  return families.size === 1 ? [...families][0] : undefined;
}

/** The honorific as the record has it, else from its one string. */
export function honorificOf(record: Named): string | undefined {
  if (record.honorific) return record.honorific;
  const [first, ...others] = persons(record);
  return others.length ? undefined : first?.honorific;
}

/** The name in full: as written, else the parts in order. */
export function fullName(record: Named): string | undefined {
  const whole = (record.full_name || record.name)?.trim();
  if (whole) return whole;
  const { given_name, preferred_name, family_name } = record;
  const given = given_name || preferred_name;
  return given && family_name ? `${given} ${family_name}` : given || family_name || undefined;
}

const FIRM = new Set(['organisation', 'partner']);

/** A record's one string parted, as it was asked for last: a letter says a name many times, and counting holes all of them. */
const parted = new WeakMap<Named, { written: string; persons: PartedName['persons'] }>();

function persons(record: Named): PartedName['persons'] | [] {
  const { name, full_name, kind, given_name, family_name } = record;
  const written = (name || full_name)?.trim();
  // Where the owner set the parts, the one string is not parted again.
  if (!written || given_name || family_name || FIRM.has(kind ?? '')) return [];
  let known = parted.get(record);
  if (known?.written !== written)
    parted.set(record, (known = { written, persons: partName(written).persons }));
  return known.persons;
}

function severalIn(record: Named): boolean {
  return persons(record).length > 1;
}

/** "The Wray family" is greeted "Wray family"; "Mr. and Mrs. Reyes" without the stops. */
function greetedAsWritten(record: Named, written: string | undefined): string | undefined {
  if (!written || FIRM.has(record.kind ?? '')) return written;
  return record.kind === 'household' || severalIn(record)
    ? written.replace(/^the\s+(?=\S)/i, '').replace(TITLES_WITH_STOP, '$1')
    : written;
}

const TITLES_WITH_STOP = /\b(Mr|Mrs|Ms|Mx)\.(?=\s)/g;

/** These are written without a stop; others, as "Dr." in German, as their owner writes them. */
function withoutStop(honorific: string): string {
  return honorific.replace(/^(Mr|Mrs|Ms|Mx)\.$/, '$1');
}
