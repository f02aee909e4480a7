import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import type { Database } from '../database';

/** Where a business reads its clock: an IANA zone. */
export async function zoneOfBusiness({ models }: Database, business_id: string): Promise<string> {
  const found = await models.business.findByPk(business_id, { attributes: ['time_zone'], raw: true });
  return (found as unknown as { time_zone: string | null } | null)?.time_zone ?? SCHEMA_DEFAULTS.timeZone;
}
