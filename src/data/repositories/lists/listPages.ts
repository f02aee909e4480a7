import { DatabaseError, QueryTypes } from 'sequelize';
import type { SearchWay } from '../../../core/searching/searchWays';
import type { ListedKind } from '../../../core/records/recordKind';
import type { Database } from '../../database';

/** A part of a list that has one order: by an expression, then by what tells equals apart. */
interface Segment {
  where: string;
  by: string;
  /** the expression's type */
  type: 'text' | 'date' | 'timestamptz';
  then: string;
  way: 'asc' | 'desc';
}

/** How a list is read: its columns, its tables, its parts one after another. Each part has an index of its own. */
export interface ListQuery {
  kind: ListedKind;
  /** what a record is called in it; bookings are listed by their days and have no name */
  name: string;
  columns: string;
  from: string;
  segments: readonly Segment[];
}

/** Where in a list a page ends: in which part, and at which row. */
export interface ListPlace {
  segment: number;
  at: [string, string];
}

interface Placed {
  segment: number;
  at_by: string;
  at_then: string;
}

/** What was given as a place in a list is none. */
export class NoSuchPlace extends Error {}

/** Data exceptions (SQLSTATE class 22): a place whose values are none of the list's. */
const DATA_EXCEPTION = /^22/;

/** So many records are looked at for words; who finds more has to write more words. */
export const MOST_FOUND = 1000;

/**
 * A page of a list (keyset paging): what follows a place, however long the list is.
 * @param bind what the query's own conditions ask for
 * @param among only these records, by their ids
 * @throws NoSuchPlace
 */
export async function listPage<Row extends object>(
  { sequelize }: Database,
  business_id: string,
  { kind, columns, from, segments }: ListQuery,
  {
    after,
    among,
    most,
    bind = {},
  }: { after?: ListPlace | undefined; among?: readonly string[]; most: number; bind?: object },
): Promise<{ rows: Row[]; next?: ListPlace }> {
  const rows: (Row & Placed)[] = [];
  let at = after?.at;
  for (let i = after?.segment ?? 0; i < segments.length && rows.length <= most; i++) {
    const { where, by, type, then, way } = segments[i]!;
    const conditions = [
      `${kind}.business_id = $business_id`,
      where,
      at ? `(${by}, ${then}) ${way === 'asc' ? '>' : '<'} ($at_by::${type}, $at_then::text)` : 'true',
      among ? `${kind}.id = any($among::uuid[])` : 'true',
    ];
    const asked = sequelize.query<Row & Placed>(
      `select ${columns}, ${i} as segment, (${by})::text as at_by, ${then}::text as at_then
       from ${from} where ${conditions.join(' and ')}
       order by ${by} ${way}, ${then} ${way} limit ${most + 1 - rows.length}`,
      {
        bind: {
          business_id,
          ...bind,
          ...(at ? { at_by: at[0], at_then: at[1] } : {}),
          ...(among ? { among } : {}),
        },
        type: QueryTypes.SELECT,
      },
    );
    rows.push(...(await (at ? unlessNoPlace(asked) : asked)));
    at = undefined;
  }
  const last = rows.length > most ? rows[most - 1] : undefined;
  return {
    rows: rows.slice(0, most),
    ...(last ? { next: { segment: last.segment, at: [last.at_by, last.at_then] } } : {}),
  };
}

/** What is asked from a place that was given from outside. @throws NoSuchPlace where the database cannot read it */
export async function unlessNoPlace<T>(asked: Promise<T>): Promise<T> {
  return asked.catch((error: unknown) => {
    const code = error instanceof DatabaseError ? (error.parent as { code?: string }).code : undefined;
    throw DATA_EXCEPTION.test(code ?? '') ? new NoSuchPlace() : error;
  });
}

/** The ids of records of a kind that have all of some words, one more than are looked at where there are more. */
export async function foundRecords(
  { sequelize }: Database,
  kind: ListedKind,
  wanted: readonly (readonly SearchWay[])[],
): Promise<string[]> {
  if (wanted.length === 0) return [];
  const rows = await sequelize.query<{ id: string }>(
    'select found_records as id from found_records($kind, $wanted::jsonb, $most::integer)',
    { bind: { kind, wanted: JSON.stringify(wanted), most: MOST_FOUND + 1 }, type: QueryTypes.SELECT },
  );
  return rows.map(({ id }) => id);
}
