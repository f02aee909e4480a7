import { CATALOGUE } from '../../core/records/catalogue/catalogue';
import type { RecordKind } from '../../core/records/recordKind';
import { TABLES, type TableName } from '../database';
import { RECORD_TABLES } from '../recordTables';
import type { WantedRows } from '../rowsAtOnce';

/** The rows of a business. Binds $business_id. */
export const OF_BUSINESS = 'business_id = $business_id';

/** A table's rows with what may be read of them. */
export function wantedOf(name: TableName, where: string, order?: string): WantedRows {
  return { columns: selectedColumns(name), where, ...(order ? { order } : {}) };
}

/** The facts of a record that are kept, and what names it: the catalogue says which. */
const FACTS = new Map<RecordKind, readonly string[]>();

export function factsOf(kind: RecordKind): readonly string[] {
  let names = FACTS.get(kind);
  if (!names) {
    const kept = [...CATALOGUE[kind].values()].filter(({ derived }) => derived === undefined);
    names = [...(kind === 'business' ? [] : ['key']), ...kept.map(({ key }) => key), 'custom'];
    FACTS.set(kind, names);
  }
  return names;
}

/**
 * The columns that are read: of a record's table its facts and what ties it to others. What a table holds besides (a
 * password, a version) never leaves the database this way.
 */
function selectedColumns(name: TableName): string[] {
  const columns = Object.keys(TABLES[name]);
  const kind = (RECORD_TABLES as Partial<Record<TableName, RecordKind>>)[name];
  if (!kind) return columns;
  const facts = factsOf(kind);
  return columns.filter(
    (column) => facts.includes(column) || /(?:^|_)id$/.test(column) || column === 'time_zone',
  );
}
