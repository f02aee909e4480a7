import { QueryTypes } from 'sequelize';
import type { BroughtKind } from '../../../core/bringing/brought';
import type { Database, TableName } from '../../database';
import type { LeftOver } from '../../models/bringing';
import { CHANGED } from './comeIn';

/** A record that came in, as it was then. */
export interface Came {
  position: number;
  record_id: string;
  version: number;
  before: Record<string, unknown> | null;
}

const STAYS: LeftOver['message'] = 'It was changed, or something has come of it since: it stays.';

/** What may have come of a record that stands in a column of others. */
const COME_OF: Readonly<
  Record<'client' | 'booking' | 'invoice', readonly (readonly [table: TableName, column: string])[]>
> = {
  client: [
    ['contact', 'client_id'],
    ['item', 'client_id'],
    ['project', 'client_id'],
    ['enquiry', 'client_id'],
    ['booking', 'client_id'],
    ['invoice', 'client_id'],
    ['record_file', 'client_id'],
    ['message', 'client_id'],
    ['merged_client', 'client_id'],
  ],
  booking: [
    ['booking_item', 'booking_id'],
    ['record_file', 'booking_id'],
    ['message', 'booking_id'],
  ],
  invoice: [
    ['instalment', 'invoice_id'],
    ['message', 'invoice_id'],
  ],
};

const NAMES = {
  client: 'name',
  booking: 'service',
  invoice: "coalesce(number, '')",
} as const;

/**
 * Takes records out that came in, those that are as they were then and that nothing has come of. What was there before is again what
 * it was. Gives what stays.
 */
export async function goOut(
  database: Database,
  business_id: string,
  kind: BroughtKind,
  came: readonly Came[],
): Promise<LeftOver[]> {
  if (kind === 'payment') return paymentsGoOut(database, business_id, came);
  const fresh = came.filter(({ before }) => before === null);
  const left = await takeOut(database, business_id, kind, fresh);
  for (const { record_id, version, before } of came)
    if (before !== null && !(await asBefore(database, business_id, record_id, version, before)))
      left.push({ name: String(before.service ?? ''), message: STAYS });
  return left;
}

async function takeOut(
  { sequelize }: Database,
  business_id: string,
  kind: 'client' | 'booking' | 'invoice',
  came: readonly Came[],
): Promise<LeftOver[]> {
  const bind = { business_id, came: JSON.stringify(came) };
  const nothing = COME_OF[kind].map(
    ([table, column]) =>
      `not exists (select from ${table} other where other.business_id = ${kind}.business_id and other.${column} = ${kind}.id)`,
  );
  const were = `jsonb_to_recordset($came::jsonb) as was(record_id uuid, version integer)`;
  await sequelize.query(
    `delete from ${kind} using ${were} where ${kind}.business_id = $business_id and ${kind}.id = was.record_id
       and ${[`${kind}.version = was.version`, ...nothing].join(' and ')}`,
    { bind },
  );
  const left = await sequelize.query<{ name: string }>(
    `select ${NAMES[kind]} as name from ${kind} join ${were} on was.record_id = ${kind}.id
     where ${kind}.business_id = $business_id order by 1`,
    { bind, type: QueryTypes.SELECT },
  );
  return left.map(({ name }) => ({ name, message: STAYS }));
}

/** Makes a visit again what it was before another calendar changed it, where it is as that left it. */
async function asBefore(
  { sequelize }: Database,
  business_id: string,
  id: string,
  version: number,
  before: Record<string, unknown>,
): Promise<boolean> {
  const names = CHANGED.join(', ');
  const changed = await sequelize.query(
    `update booking set (${names}) = (select ${names} from jsonb_populate_record(null::booking, $before::jsonb)), version = version + 1
     where business_id = $business_id and id = $id and version = $version returning id`,
    { bind: { business_id, id, version, before: JSON.stringify(before) }, type: QueryTypes.SELECT },
  );
  return changed.length > 0;
}

async function paymentsGoOut(
  { sequelize }: Database,
  business_id: string,
  came: readonly Came[],
): Promise<LeftOver[]> {
  const gone = await sequelize.query<{ position: number }>(
    `with gone as (
       delete from payment using jsonb_to_recordset($came::jsonb) as was(position integer, record_id uuid, version integer, before jsonb)
       where payment.business_id = $business_id and payment.invoice_id = was.record_id and payment.position = was.version
         and payment.paid_on = (was.before ->> 'paid_on')::date and payment.amount = (was.before ->> 'amount')::bigint
       returning was.position, payment.invoice_id),
     changed as (
       update invoice set version = version + 1 where business_id = $business_id and id in (select invoice_id from gone))
     select position from gone`,
    { bind: { business_id, came: JSON.stringify(came) }, type: QueryTypes.SELECT },
  );
  const out = new Set(gone.map(({ position }) => position));
  return came
    .filter(({ position }) => !out.has(position))
    .map(({ before }) => ({ name: String(before?.paid_on ?? ''), message: STAYS }));
}
