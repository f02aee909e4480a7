import type { FieldType } from '../fieldType';
import type { RecordKind } from '../recordKind';

/** One field of a record: data that the finder searches, the reader judges paths by and messages are made of. */
export interface FieldDefinition {
  key: string;
  /** what the interface calls it, in lower case unless it is a name */
  label: string;
  /** a sentence for someone choosing a field */
  description: string;
  type: FieldType;
  /** worked out by the core, never stored */
  derived?: true;
  /** the stored value is the key of a record (or a list of keys) of this kind, not the record itself */
  refers?: RecordKind;
  /** the step that stands for the default form, where that is not the type's own */
  shownAs?: 'time';
  /** the words a link reads as, where those are not its address */
  readsAs?: string;
}

type Row = [key: string, label: string, description: string, type: FieldType];

/** Stored fields, one row each. */
export function stored(...rows: Row[]): FieldDefinition[] {
  return rows.map(([key, label, description, type]) => ({ key, label, description, type }));
}

/** Fields that the core works out. */
export function derived(...rows: Row[]): FieldDefinition[] {
  return stored(...rows).map((field) => ({ ...field, derived: true }));
}

/** Fields that name other records by their keys. */
export function references(...rows: [...Row, RecordKind][]): FieldDefinition[] {
  return rows.map(([key, label, description, type, refers]) => ({ key, label, description, type, refers }));
}
