import { TABLES, type Database, type TableName } from './database';
import type { Rows } from './rows';

/** What all models can do alike; their union of types does not say so. */
interface AnyTable {
  bulkCreate(rows: object[]): Promise<unknown>;
}

/** Writes rows of many tables, in the order in which rows point at others. */
export async function insertRows(models: Database['models'], rows: Rows): Promise<void> {
  for (const name of Object.keys(TABLES) as TableName[]) {
    const own = rows[name];
    if (own?.length) await (models[name] as AnyTable).bulkCreate(own);
  }
}
