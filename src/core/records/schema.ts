import { CATALOGUE, CUSTOMISABLE } from './catalogue/catalogue';
import type { FieldDefinition } from './catalogue/field';
import { SCHEMA_DEFAULTS } from './defaults';
import { scalar, type ScalarKind } from './fieldType';
import { readDay } from '../dates/civil';
import { readMoment } from '../dates/zone';
import type { RecordKind } from './recordKind';
import type { Custom, CustomFieldData, CustomValue, RecordsFile } from './recordsFile';

/** What paths may say at one business: the fields everyone has, its custom fields and its links. */
export interface Schema {
  fields(kind: RecordKind): ReadonlyMap<string, FieldDefinition>;
  custom(kind: RecordKind): ReadonlyMap<string, FieldDefinition>;
  links: ReadonlyMap<string, FieldDefinition>;
  /** BCP 47: what is written is in it unless a template has a language of its own */
  locale: string;
  /** ISO 4217: of all its sums */
  currency: string;
}

const NONE: ReadonlyMap<string, FieldDefinition> = new Map();

/**
 * The schema of a business: from its definitions of custom fields; where the records have none, a custom field
 * exists when any record of that kind has it, with the type its first value shows.
 */
export function schemaOf(file: RecordsFile): Schema {
  const custom = file.business.custom_fields ? defined(file.business.custom_fields) : found(file);
  const links = new Map(
    (file.business.links ?? []).map(({ key, name }) => [
      key,
      { key, label: name, description: `The link “${name}”`, type: scalar('link'), readsAs: name },
    ]),
  );
  return {
    fields: (kind) => CATALOGUE[kind],
    custom: (kind) => custom.get(kind) ?? NONE,
    links,
    locale: file.business.locale || SCHEMA_DEFAULTS.locale,
    currency: file.business.currency || SCHEMA_DEFAULTS.currency,
  };
}

type CustomByKind = Map<RecordKind, Map<string, FieldDefinition>>;

function defined(definitions: readonly CustomFieldData[]): CustomByKind {
  const custom: CustomByKind = new Map();
  for (const { record, key, label, type } of definitions) {
    add(custom, record as RecordKind, key, label, type === 'choice' ? 'text' : type);
  }
  return custom;
}

function found(file: RecordsFile): CustomByKind {
  const custom: CustomByKind = new Map();
  for (const kind of CUSTOMISABLE) {
    for (const values of customOf(file, kind)) {
      for (const [key, value] of Object.entries(values ?? {})) {
        if (value === null || value === '' || custom.get(kind)?.has(key)) continue;
        add(custom, kind, key, key.replaceAll('_', ' '), kindOf(value));
      }
    }
  }
  return custom;
}

function customOf(file: RecordsFile, kind: RecordKind): (Custom | undefined)[] {
  switch (kind) {
    case 'business':
      return [file.business.custom];
    case 'item':
      return (file.clients ?? []).flatMap((client) => (client.items ?? []).map((item) => item.custom));
    case 'member':
    case 'client':
    case 'partner':
    case 'project':
    case 'booking':
    case 'invoice':
      return (file[`${kind}s`] ?? []).map((record) => record.custom);
    default:
      return [];
  }
}

function kindOf(value: CustomValue): ScalarKind {
  if (typeof value === 'boolean') return 'yes/no';
  if (typeof value === 'number') return 'number';
  if (typeof value === 'object') return 'money';
  if (readDay(value) !== undefined) return 'date';
  return readMoment(value) === undefined ? 'text' : 'moment';
}

function add(custom: CustomByKind, kind: RecordKind, key: string, label: string, type: ScalarKind): void {
  let fields = custom.get(kind);
  if (!fields) custom.set(kind, (fields = new Map()));
  fields.set(key, { key, label, description: `Custom field of the ${kind}`, type: scalar(type) });
}
