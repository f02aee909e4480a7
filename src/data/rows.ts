import type { RowOf } from './column';
import type { TABLES, TableName } from './database';

/** Rows to write, by table. Columns left out take the database's defaults. */
export type Rows = { [Name in TableName]?: Partial<RowOf<(typeof TABLES)[Name]>>[] };
