import type { FieldType } from '../../records/fieldType';
import { readDate, readerOf, readText } from '../values';

type Stored = Readonly<Record<string, unknown>>;
type ReadFact = (record: Stored) => unknown;

/**
 * Reads a fact that a record of the catalogue stores: no key of it is a name that objects inherit (a test says so).
 * @returns gives the fact of a record, undefined where it is missing
 */
export function storedFact(key: string, type: FieldType): ReadFact {
  const read = readerOf(type);
  if (read === readText) return TEXTS[key] ?? ((record) => readText(record[key]));
  if (read === readDate) return DATES[key] ?? ((record) => readDate(record[key]));
  return (record) => read(record[key]);
}

/** What letters name most, each by an expression of its own: one for all looks the name up anew for every record. */
const TEXTS: Readonly<Record<string, ReadFact>> = {
  name: ({ name }) => readText(name),
  given_name: ({ given_name }) => readText(given_name),
  family_name: ({ family_name }) => readText(family_name),
  email: ({ email }) => readText(email),
  phone: ({ phone }) => readText(phone),
  title: ({ title }) => readText(title),
  service: ({ service }) => readText(service),
  number: ({ number }) => readText(number),
  description: ({ description }) => readText(description),
  notes: ({ notes }) => readText(notes),
  town: ({ town }) => readText(town),
};
const DATES: Readonly<Record<string, ReadFact>> = {
  issued_on: ({ issued_on }) => readDate(issued_on),
  due_on: ({ due_on }) => readDate(due_on),
  paid_on: ({ paid_on }) => readDate(paid_on),
};
