import type { RecordKind } from './recordKind';

/** The types that single values have; a choice is a text. */
export type ScalarKind =
  | 'text'
  | 'long text'
  | 'date'
  | 'moment'
  | 'money'
  | 'number'
  | 'percent'
  | 'duration'
  | 'phone'
  | 'address'
  | 'link'
  | 'image'
  | 'file'
  | 'yes/no';

/** The type of a field, a path or a step's result. */
export type FieldType =
  { kind: ScalarKind } | { kind: 'collection'; of: FieldType } | { kind: 'record'; record: RecordKind };

/** The type of a single value. */
export const scalar = (kind: ScalarKind): FieldType => ({ kind });
/** The type of a whole record. */
export const record = (name: RecordKind): FieldType => ({ kind: 'record', record: name });
/** The type of a list of values of one type. */
export const collection = (of: FieldType): FieldType => ({ kind: 'collection', of });

/** A type in words for messages: "money", "a list of invoices". */
export function typeInWords(type: FieldType): string {
  if (type.kind === 'collection') {
    return `a list of ${type.of.kind === 'record' ? plural(type.of.record) : `${type.of.kind} values`}`;
  }
  return type.kind === 'record' ? `a whole record (${type.record})` : type.kind;
}

function plural(kind: string): string {
  return kind.endsWith('y') ? `${kind.slice(0, -1)}ies` : `${kind}s`;
}
