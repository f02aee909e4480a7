import { DERIVATIONS } from '../../records/derive/derivations';
import { ADDRESS_PARTS, CUSTOMISABLE } from '../../records/catalogue/catalogue';
import type { FieldDefinition } from '../../records/catalogue/field';
import { scalar, typeInWords, type FieldType } from '../../records/fieldType';
import type { AddressData } from '../../records/recordsFile';
import type { RecordKind } from '../../records/recordKind';
import { didYouMean } from '../../problems/nearest';
import type { Run } from '../run';
import { readerOf } from '../values';
import { referenceOf } from './references';
import type { Scope } from './scope';
import { storedFact } from './storedFact';

/** One step of a way, from what is there to what is meant; it is not gone where nothing is. */
export type Hop = (value: never, run: Run) => unknown;

/** What a hop leads to, and how many names of the path it took. */
export interface Found {
  hop: Hop;
  type: FieldType;
  label: string;
  /** what it is, in words */
  description: string;
  taken: number;
  shown: Shown;
}

type Shown = Pick<FieldDefinition, 'shownAs' | 'readsAs'>;

function shownOf({ shownAs, readsAs }: FieldDefinition): Shown {
  return { ...(shownAs ? { shownAs } : {}), ...(readsAs === undefined ? {} : { readsAs }) };
}

/**
 * One hop of a path, judged by the list of fields.
 * @param names of the whole path, of which those from `at` on are still to be gone
 * @param before the path so far, for messages
 * @returns a message where there is no such field
 */
export function hopFrom(
  type: FieldType,
  names: readonly string[],
  at: number,
  before: string,
  scope: Scope,
): Found | string {
  const name = names[at]!;
  const prefix = before ? `${before}.` : '';
  if (type.kind === 'address') {
    if (!Object.hasOwn(ADDRESS_PARTS, name)) {
      return `An address has no part “${name}”.${didYouMean(name, Object.keys(ADDRESS_PARTS), prefix)}`;
    }
    return { ...addressPart(name), taken: 1 };
  }
  if (type.kind !== 'record') {
    const hint =
      type.kind === 'collection'
        ? ` It is ${typeInWords(type)}: use a section {{#${before}}} … {{/${before}}}, or a step such as “count”.`
        : ` It is ${typeInWords(type)} and has no parts.`;
    return `“${before}” has no field “${name}”.${hint}`;
  }
  const kind = type.record;
  if (name === 'custom' && CUSTOMISABLE.includes(kind)) {
    const fields = scope.schema.custom(kind);
    const key = names[at + 1];
    if (key === undefined) return `“${prefix}custom” needs the name of a custom field.${listed(fields)}`;
    const field = fields.get(key);
    if (!field) {
      return `The ${kind} has no custom field “${key}”.${didYouMean(key, fields.keys(), `${prefix}custom.`) || listed(fields)}`;
    }
    return { ...readBy(field, (data) => own(own(data, 'custom'), key)), taken: 2 };
  }
  if (name === 'links' && kind === 'business') {
    const key = names[at + 1];
    const link = key === undefined ? undefined : scope.schema.links.get(key);
    if (!link) return noLink(key, scope, `${prefix}links.`);
    return { ...readBy(link, (data) => linkAddress(data, key!)), taken: 2 };
  }
  const field = scope.schema.fields(kind).get(name);
  if (!field)
    return `The ${kind} has no field “${name}”.${didYouMean(name, fieldNames(scope, kind), prefix)}`;
  return { ...fieldHop(kind, field), taken: 1 };
}

function fieldHop(kind: RecordKind, field: FieldDefinition): Omit<Found, 'taken'> {
  const { key, type, label, description } = field;
  const found = { type, label, description, shown: shownOf(field) };
  const derive = DERIVATIONS[kind]?.[key];
  if (derive) return { ...found, hop: derive };
  if (field.refers) {
    const refer = referenceOf(kind, key);
    return { ...found, hop: (data, run) => refer(data as never, run.book) };
  }
  return { ...found, hop: storedFact(key, type) };
}

function readBy(field: FieldDefinition, get: (data: unknown) => unknown): Omit<Found, 'taken'> {
  const read = readerOf(field.type);
  const { type, label, description } = field;
  return { type, label, description, shown: shownOf(field), hop: (data) => read(get(data)) };
}

function addressPart(name: string): Omit<Found, 'taken'> {
  const part = { label: name, description: name, shown: {} };
  if (name !== 'street') return { ...part, type: scalar('text'), hop: storedFact(name, scalar('text')) };
  return {
    ...part,
    type: scalar('long text'),
    hop: (address) => (address as AddressData).street?.join('\n') || undefined,
  };
}

function linkAddress(business: unknown, key: string): unknown {
  const links = own(business, 'links') as { key: string; address: string }[] | undefined;
  return links?.find((link) => link.key === key)?.address;
}

function noLink(key: string | undefined, scope: Scope, prefix: string): string {
  if (key === undefined) return `“links” needs the key of a link.${listed(scope.schema.links)}`;
  return `There is no link “${key}”.${didYouMean(key, scope.schema.links.keys(), prefix) || listed(scope.schema.links)}`;
}

function listed(fields: ReadonlyMap<string, unknown>): string {
  return fields.size ? ` There are ${[...fields.keys()].slice(0, 12).join(', ')}.` : ' There are none yet.';
}

/** A property of its own only: no name from a prototype is a path. */
function own(data: unknown, key: string): unknown {
  return data !== null && typeof data === 'object' && Object.hasOwn(data, key)
    ? (data as Record<string, unknown>)[key]
    : undefined;
}

/** The names that a record of a kind can be asked for. */
export function fieldNames(scope: Scope, kind: RecordKind): string[] {
  return [...scope.schema.fields(kind).keys(), ...(CUSTOMISABLE.includes(kind) ? ['custom'] : [])];
}
