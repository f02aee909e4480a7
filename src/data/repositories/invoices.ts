import { QueryTypes } from 'sequelize';
import { invoiceNumber } from '../../core/contract/records/workWays';
import type { Database } from '../database';

/** Whether an invoice was issued, and as which number; or why not. */
export type Issuing = { result: 'issued'; number: string } | { result: 'overtaken' } | { result: 'empty' };

/**
 * Gives a draft that is still as it was seen its number and its days, and makes it one that is to be paid. The row that counts
 * is held until this is kept: no number is left out, none given twice.
 * @param today ISO date
 */
export async function issueInvoice(
  { sequelize, inTransaction }: Database,
  business_id: string,
  key: string,
  version: number,
  today: string,
): Promise<Issuing> {
  return inTransaction(async () => {
    const ask = <Row extends object>(sql: string, bind: object) =>
      sequelize.query<Row>(sql, { bind: { business_id, ...bind }, type: QueryTypes.SELECT });
    const [draft] = await ask<{ id: string; number: string | null; has_lines: boolean }>(
      `select id, number, exists (select from invoice_line line
         where line.business_id = invoice.business_id and line.invoice_id = invoice.id) as has_lines
       from invoice where business_id = $business_id and key = $key and version = $version and status = 'draft' for update`,
      { key, version },
    );
    if (!draft) return { result: 'overtaken' };
    if (!draft.has_lines) return { result: 'empty' };
    const [ways] = await ask<{ prefix: string; next: number; digits: number; days: number }>(
      `select invoice_prefix as prefix, invoice_next as next, invoice_digits as digits, days_to_pay as days
       from work_ways where business_id = $business_id for update`,
      {},
    );
    const number = draft.number ?? (await takeNumber(ways!));
    await sequelize.query(
      `update invoice set number = $number, status = 'sent', version = version + 1,
         issued_on = coalesce(issued_on, $today::date),
         due_on = coalesce(due_on, coalesce(issued_on, $today::date) + $days::int)
       where business_id = $business_id and id = $id`,
      { bind: { business_id, id: draft.id, number, today, days: ways!.days } },
    );
    return { result: 'issued', number };

    async function takeNumber({ prefix, next, digits }: { prefix: string; next: number; digits: number }) {
      // One that was brought in, or written by hand, may have it.
      for (let count = next; ; count++) {
        const wanted = invoiceNumber(prefix, count, digits);
        const taken = await ask('select from invoice where business_id = $business_id and number = $wanted', {
          wanted,
        });
        if (taken.length > 0) continue;
        await sequelize.query(
          'update work_ways set invoice_next = $next, version = version + 1 where business_id = $business_id',
          { bind: { business_id, next: count + 1 } },
        );
        return wanted;
      }
    }
  });
}

/** Makes an invoice that was issued void, where it is still as it was seen; gives whether it was. Its number stays its own. */
export async function voidInvoice(
  { models }: Database,
  business_id: string,
  key: string,
  version: number,
): Promise<boolean> {
  const [changed] = await models.invoice.update(
    { status: 'void', version: version + 1 },
    { where: { business_id, key, version, status: 'sent' } },
  );
  return changed === 1;
}
