import { isoOf, readDay, type Day } from '../dates/civil';
import { isoMoment, readMoment, type Moment } from '../dates/zone';
import { readDecimal } from '../money/exact';
import type { AddressData } from '../records/recordsFile';
import type { FieldType } from '../records/fieldType';

/**
 * Values while filling, by type: text, phone, link, image: string · date: day number · moment: milliseconds ·
 * money: minor units · number, percent: number · duration: minutes · address: AddressData · yes/no: boolean ·
 * collection: array · record: its data. A missing fact is undefined.
 */
export type Reader = (stored: unknown) => unknown;

/** Reads a stored value of a type; undefined when it is absent, null, empty or not of the type. */
export function readerOf(type: FieldType): Reader {
  switch (type.kind) {
    case 'date':
      return readDate;
    case 'moment':
      return (stored) => (typeof stored === 'string' ? readMoment(stored) : undefined);
    case 'money':
      return (stored) => {
        if (typeof stored === 'object' && stored) stored = (stored as { money?: unknown }).money;
        return Number.isSafeInteger(stored) ? stored : undefined;
      };
    case 'number':
    case 'percent':
    case 'duration':
      return (stored) => {
        if (Number.isSafeInteger(stored)) return stored;
        const decimal = typeof stored === 'string' || typeof stored === 'number';
        return decimal && readDecimal(stored) ? Number(stored) : undefined;
      };
    case 'yes/no':
      return (stored) => (typeof stored === 'boolean' ? stored : undefined);
    case 'address':
      return (stored) => {
        const { town, region, postcode, country, street } = (stored ?? {}) as AddressData;
        return town || postcode || region || country || street?.some(Boolean) ? stored : undefined;
      };
    case 'collection': {
      const each = readerOf(type.of);
      return (stored) => {
        if (!Array.isArray(stored)) return [];
        return type.of.kind === 'record' ? stored : stored.map(each).filter((value) => value !== undefined);
      };
    }
    case 'record':
      return (stored) => stored ?? undefined;
    default:
      return readText;
  }
}

/** Reads a stored date. */
function readDate(stored: unknown): Day | undefined {
  return typeof stored === 'string' ? readDay(stored) : undefined;
}

/** Reads a text, which has the same letters as what is stored. */
function readText(stored: unknown): string | undefined {
  if (stored === undefined || stored === null || stored === '') return undefined;
  return typeof stored === 'string' ? stored : String(stored);
}

/** Gives a value of a type as it would be stored, for notes; null where it is missing. */
export function rawOf(type: FieldType): (value: unknown, zone: string) => unknown {
  switch (type.kind) {
    case 'date':
      return (value) => (value === undefined ? null : isoOf(value as Day));
    case 'moment':
      return (value, zone) => (value === undefined ? null : isoMoment(value as Moment, zone));
    case 'collection': {
      const each = rawOf(type.of);
      return (value, zone) => ((value as unknown[] | undefined) ?? []).map((item) => each(item, zone));
    }
    case 'record':
      return (value) => (value as { key?: string } | undefined)?.key ?? null;
    default:
      return (value) => value ?? null;
  }
}

/** Whether a fact is missing for `or` and sections: absent, empty text or an empty collection; not 0, not no. */
export function isMissing(value: unknown): boolean {
  return value === undefined || value === '' || (Array.isArray(value) && value.length === 0);
}
