import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** Content of a business by its SHA-256. */
interface Content {
  business_id: string;
  sha256: string | null;
}

/** What names content, besides the words of letters and templates. */
const NAMED_BY = [
  ['record_file', 'sha256'],
  ['record_file', 'preview'],
  ['own_file', 'sha256'],
  ['own_file', 'preview'],
  ['attachment', 'sha256'],
  ['incoming', 'sha256'],
  ['letter_file', 'sha256'],
  ['letter_file', 'preview'],
] as const;

/**
 * Sweeps away, of every business, the files that were removed before one moment, the records that were removed before another, and what
 * was brought in for a letter before a third, with the content that nothing names any more.
 */
export async function sweepRemoved(
  database: Database,
  before: { files: Date; records: Date; letters: Date },
): Promise<void> {
  const { sequelize, inTransaction } = database;
  await inTransaction(async () => {
    const swept = await sequelize.query<Content>(
      `with gone as (
         delete from record_file where removed_at < $files returning business_id, sha256, preview
       ), own as (
         delete from own_file where removed_at < $files returning business_id, sha256, preview
       ), begun as (
         delete from draft where kept_at < $letters
       ), letters as (
         delete from letter_file where brought_at < $letters returning business_id, sha256, preview
       ), records as (
         delete from removed_record where removed_at < $records returning business_id, rows
       ), theirs as (
         select business_id, one from records, jsonb_array_elements(rows -> 'record_file') one
       )
       select business_id, sha256 from gone union select business_id, preview from gone union select business_id, sha256 from own
       union select business_id, preview from own
       union select business_id, sha256 from letters union select business_id, preview from letters
       union select business_id, one ->> 'sha256' from theirs union select business_id, one ->> 'preview' from theirs`,
      { bind: before, type: QueryTypes.SELECT },
    );
    await dropUnnamed(database, swept);
  });
}

/** Takes content out that nothing names any more; a file's row among the removed records names it, too. */
export async function dropUnnamed({ sequelize }: Database, content: readonly Content[]): Promise<void> {
  if (content.length === 0) return;
  const unnamed = NAMED_BY.map(
    ([table, column]) =>
      `not exists (select from ${table} one where one.business_id = file.business_id and one.${column} = file.sha256)`,
  );
  await sequelize.query(
    `delete from file using unnest($businesses::uuid[], $sums::text[]) wanted (business_id, sha256)
     where file.business_id = wanted.business_id and file.sha256 = wanted.sha256 and not in_words
       and ${unnamed.join(' and ')}
       and not exists (select from removed_record, jsonb_array_elements(rows -> 'record_file') one
         where removed_record.business_id = file.business_id
           and file.sha256 in (one ->> 'sha256', one ->> 'preview'))`,
    {
      bind: {
        businesses: content.map(({ business_id }) => business_id),
        sums: content.map(({ sha256 }) => sha256),
      },
    },
  );
}
