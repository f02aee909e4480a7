import { QueryTypes } from 'sequelize';
import type { PlanFacts, ServiceFacts, WorkWays } from '../../../core/contract/records/workWays';
import type { Database } from '../../database';
import { present } from './factsInRow';

/** How a business does its work, without its services and plans. */
export async function waysAlone(
  { sequelize }: Database,
  business_id: string,
): Promise<Omit<WorkWays, 'services' | 'plans'>> {
  const [ways] = await sequelize.query<Omit<WorkWays, 'services' | 'plans'>>(
    `select version, travel_minutes, to_char(day_from, 'HH24:MI') as day_from, to_char(day_until, 'HH24:MI') as day_until,
       invoice_prefix, invoice_next, invoice_digits, days_to_pay, trim_scale(tax_rate)::text as tax_rate from work_ways where business_id = $business_id`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
  return ways!;
}

/** How a business does its work, its services and its payment plans in their order. Three queries. */
export async function workWays(database: Database, business_id: string): Promise<WorkWays> {
  const ask = <Row extends object>(sql: string) =>
    database.sequelize.query<Row>(sql, { bind: { business_id }, type: QueryTypes.SELECT });
  const services = await ask<ServiceFacts>(
    'select id, name, minutes, price from service where business_id = $business_id order by position',
  );
  const plans = await ask<PlanFacts>(
    'select id, name, parts from payment_plan where business_id = $business_id order by position',
  );
  return {
    ...(await waysAlone(database, business_id)),
    services: services.map(present) as unknown as ServiceFacts[],
    plans,
  };
}

/** Keeps them where they are still as they were seen; gives whether they were. */
export async function keepWorkWays(
  { models }: Database,
  business_id: string,
  { version, services, plans, ...ways }: WorkWays,
): Promise<boolean> {
  const [changed] = await models.work_ways.update(
    { ...ways, version: version + 1 },
    { where: { business_id, version } },
  );
  if (changed === 0) return false;
  for (const [model, rows] of [
    [models.service, services.map((one) => ({ minutes: null, price: null, ...one }))],
    [models.payment_plan, plans],
  ] as const) {
    const table = model as unknown as PlainTable;
    // Names may change places: all go, and come anew under their ids.
    await table.destroy({ where: { business_id } });
    await table.bulkCreate(rows.map((row, position) => ({ ...row, business_id, position })));
  }
  return true;
}

interface PlainTable {
  destroy(options: object): Promise<number>;
  bulkCreate(rows: object[]): Promise<unknown>;
}
