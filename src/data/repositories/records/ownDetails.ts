import { QueryTypes } from 'sequelize';
import type { OwnDetails } from '../../../core/contract/records/ownDetails';
import type { Database } from '../../database';
import { columnsOf, present } from './factsInRow';

const COLUMNS = [
  ...['version', 'name', 'legal_name', 'address', 'phone', 'email', 'website', 'payment_details', 'locale'],
  ...[
    'time_zone',
    'currency',
    'hour_cycle',
    'working_days',
    'holidays',
    'item_label',
    'booking_label',
    'logo',
  ],
] as const satisfies readonly (keyof OwnDetails)[];

/** What a business says of itself; a fact that is not there is absent. */
export async function ownDetails({ models }: Database, business_id: string): Promise<OwnDetails> {
  const row = (await models.business.findByPk(business_id, {
    attributes: [...COLUMNS],
    rejectOnEmpty: true,
    raw: true,
  })) as unknown as Record<string, unknown>;
  return present(row) as unknown as OwnDetails;
}

/** Keeps them where they are still as they were seen; gives whether they were. What is absent is a fact that is not there. */
export async function keepOwnDetails(
  { models }: Database,
  business_id: string,
  { version, ...details }: OwnDetails,
): Promise<boolean> {
  const [changed] = await models.business.update(
    { ...columnsOf(COLUMNS, details), version: version + 1 },
    { where: { id: business_id, version } },
  );
  return changed === 1;
}

/** Whether sums were written down that a business's currency is read with. */
export async function hasSums({ sequelize }: Database, business_id: string): Promise<boolean> {
  const [found] = await sequelize.query<{ has: boolean }>(
    `select exists (select from invoice where business_id = $business_id)
       or exists (select from booking where business_id = $business_id and price is not null)
       or exists (select from project where business_id = $business_id and value is not null)
       or exists (select from service where business_id = $business_id and price is not null) as has`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
  return found!.has;
}
