import type { FieldType } from '../../records/fieldType';
import { readerOf } from '../values';

type Stored = Readonly<Record<string, unknown>>;
type ReadFact = (record: Stored) => unknown;

/**
 * Reads a fact that a record of the catalogue stores: no key of it is a name that objects inherit (a test says so).
 * @returns gives the fact of a record, undefined where it is missing
 */
export function storedFact(key: string, type: FieldType): ReadFact {
  const read = readerOf(type);
  return (record) => read(record[key]);
}
