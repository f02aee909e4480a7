import pg from 'pg';

/** Asks the database of the application beside it: for what would take hours on a page, and to see what is kept. */
export async function ask<Row extends pg.QueryResultRow>(
  sql: string,
  values: unknown[] = [],
): Promise<Row[]> {
  const client = new pg.Client({
    connectionString: process.env.DATABASE_URL,
    options: '-c fairquill.business=every',
  });
  await client.connect();
  try {
    return (await client.query<Row>(sql, values)).rows;
  } finally {
    await client.end();
  }
}
