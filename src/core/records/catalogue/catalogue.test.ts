import { expect, it } from 'vitest';
import { referenceOf } from '../../fill/paths/references';
import { DERIVATIONS } from '../derive/derivations';
import { RECORD_KINDS } from '../recordKind';
import { CATALOGUE } from './catalogue';

it('every field has words for whoever looks for it', () => {
  for (const kind of RECORD_KINDS) {
    for (const { key, label, description } of CATALOGUE[kind].values()) {
      expect(key).toMatch(/^[a-z][a-z_]*$/);
      expect(label.length).toBeGreaterThan(1);
      expect(description).toMatch(/^[\p{Lu}\d].*[^.]$|^[a-z, ]+$/u);
    }
  }
});

it('no field is called what every object has: records are asked for their fields by name', () => {
  for (const kind of RECORD_KINDS) {
    for (const key of CATALOGUE[kind].keys()) expect(key in {}, `${kind}.${key}`).toBe(false);
  }
});

/** Stored, and worked out where they are left out. */
const STORED_BUT_NEVER_MISSING = new Set([
  'member.full_name',
  'member.given_name',
  'member.family_name',
  'client.given_name',
  'client.family_name',
  'client.honorific',
  'recipient.given_name',
  'recipient.family_name',
  'recipient.honorific',
  'line.quantity',
  'line.tax_rate',
  'line.discount',
]);

it('every derived field can be worked out, and nothing else is', () => {
  for (const kind of RECORD_KINDS) {
    const derived = [...CATALOGUE[kind].values()].filter((field) => field.derived).map((field) => field.key);
    const known = Object.keys(DERIVATIONS[kind] ?? {});
    expect(known.filter((key) => !STORED_BUT_NEVER_MISSING.has(`${kind}.${key}`)).sort()).toEqual(
      derived.sort(),
    );
  }
});

it('every reference leads somewhere', () => {
  for (const kind of RECORD_KINDS) {
    for (const { key, refers } of CATALOGUE[kind].values()) {
      if (refers) expect(referenceOf(kind, key)).toBeTypeOf('function');
    }
  }
});
