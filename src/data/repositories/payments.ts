import type { PaymentToUndo, Recording } from '../../core/contract/payments';
import { QueryTypes } from 'sequelize';
import type { Database } from '../database';

export interface NewPayment {
  /** minor units */
  amount: number;
  /** ISO date */
  paid_on: string;
  method: string | null;
}

type Adding = Extract<Recording, { result: 'recorded' | 'more' }> | undefined;

/**
 * Adds a payment to an invoice that is still as it was seen. Undefined: it is not.
 * @param more whether it may be more than what is open
 */
export async function addPayment(
  { sequelize, models, inTransaction }: Database,
  business_id: string,
  key: string,
  version: number,
  payment: NewPayment,
  more: boolean,
): Promise<Adding> {
  return inTransaction(async () => {
    const [invoice] = await sequelize.query<{ id: string; open: number; position: number }>(
      `select id, total - paid as open,
         (select coalesce(max(position) + 1, 0)::int from payment
           where business_id = invoice.business_id and invoice_id = invoice.id) as position
       from invoice
       where business_id = $business_id and key = $key and version = $version and status = 'sent'
       for update of invoice`,
      { bind: { business_id, key, version }, type: QueryTypes.SELECT },
    );
    if (!invoice) return undefined;
    const { id: invoice_id, open, position } = invoice;
    if (payment.amount > open && !more) return { result: 'more', open };
    await models.payment.create({ business_id, invoice_id, position, ...payment });
    await models.invoice.increment('version', { where: { business_id, id: invoice_id } });
    return { result: 'recorded', invoice: { version: version + 1, position } };
  });
}

/** Takes a payment away again, while nothing else has been done with the invoice. Gives whether it was. */
export async function removePayment(
  { models, inTransaction }: Database,
  business_id: string,
  key: string,
  { version, position }: PaymentToUndo,
): Promise<boolean> {
  return inTransaction(async () => {
    const found = (await models.invoice.findOne({
      attributes: ['id'],
      where: { business_id, key, version },
      lock: true,
      raw: true,
    })) as unknown as { id: string } | null;
    if (!found) return false;
    const removed = await models.payment.destroy({
      where: { business_id, invoice_id: found.id, position },
    });
    if (removed) await models.invoice.increment('version', { where: { business_id, id: found.id } });
    return removed > 0;
  });
}
