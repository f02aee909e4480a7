import { DataTypes, QueryTypes } from 'sequelize';
import type { RowOf } from './column';
import { TABLES, type Database, type TableName } from './database';

/** A table's rows as they are wanted. */
export interface WantedRows {
  columns: readonly string[];
  /** a condition of SQL */
  where: string;
  /** expressions of SQL; absent where the order says nothing */
  order?: string;
}

/** A row of a table, by the table's name. */
export type RowOfTable<Name extends TableName> = RowOf<(typeof TABLES)[Name]>;

export type RowsOfTables<Name extends TableName> = {
  [One in Name]: RowOfTable<One>[];
};

/**
 * Rows of several tables in one query: to ask for each by itself takes longer than to find them. A table that is not wanted
 * has none.
 * @param bind what the conditions name by `$name`
 */
export async function rowsAtOnce<Name extends TableName>(
  { sequelize }: Database,
  wanted: Readonly<Partial<Record<Name, WantedRows>>>,
  bind: Record<string, unknown>,
): Promise<RowsOfTables<Name>> {
  const names = Object.keys(wanted) as Name[];
  const parts = names.map((name, part) => partOf(name, part, wanted[name]!));
  const found = await sequelize.query<{ part: number; found: Record<string, unknown> }>(
    `select part, found from (${parts.join(' union all ')}) parts order by part, place`,
    { bind, type: QueryTypes.SELECT },
  );
  const rows = Object.fromEntries(names.map((name) => [name, [] as object[]]));
  const moments = names.map((name) => momentsOf(name).filter((one) => wanted[name]!.columns.includes(one)));
  for (const { part, found: row } of found) {
    for (const column of moments[part]!)
      if (row[column] !== null) row[column] = new Date(row[column] as string);
    rows[names[part]!]!.push(row);
  }
  return rows as RowsOfTables<Name>;
}

function partOf(name: TableName, part: number, { columns, where, order = 'true' }: WantedRows): string {
  const said = columns.map((column) => {
    const { type } = (TABLES[name] as Record<string, { type: unknown }>)[column]!;
    // As a number of JSON a decimal would lose its digits.
    return type instanceof DataTypes.DECIMAL || type === DataTypes.DECIMAL
      ? `${name}.${column}::text as ${column}`
      : `${name}.${column}`;
  });
  return `select ${part} as part, row_number() over (order by ${order}) as place,
    (select row_to_json(one) from (select ${said.join(', ')}) one) as found from ${name} where ${where}`;
}

function momentsOf(name: TableName): string[] {
  return Object.entries(TABLES[name]).flatMap(([column, { type }]) =>
    type === DataTypes.DATE || type instanceof DataTypes.DATE ? [column] : [],
  );
}
