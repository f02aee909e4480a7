import { QueryTypes } from 'sequelize';
import type { Database } from '../database';

export interface NewPayment {
  /** minor units */
  amount: number;
  /** ISO date */
  paid_on: string;
  method: string | null;
}

/** Adds a payment to an invoice that is still as it was seen. Gives whether it was. */
export async function addPayment(
  { sequelize, models, inTransaction }: Database,
  business_id: string,
  key: string,
  version: number,
  payment: NewPayment,
): Promise<boolean> {
  return inTransaction(async (transaction) => {
    const [invoice] = await sequelize.query<{ id: string; position: number }>(
      `update invoice set version = version + 1
       where business_id = $business_id and key = $key and version = $version and status = 'sent'
       returning id, (select coalesce(max(position) + 1, 0)::int from payment
         where payment.business_id = invoice.business_id and payment.invoice_id = invoice.id) as position`,
      { bind: { business_id, key, version }, type: QueryTypes.SELECT, transaction },
    );
    if (!invoice) return false;
    const { id: invoice_id, position } = invoice;
    await models.payment.create({ business_id, invoice_id, position, ...payment }, { transaction });
    return true;
  });
}
