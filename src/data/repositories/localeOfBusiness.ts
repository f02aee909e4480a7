import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import type { Database } from '../database';

/** How a business writes its dates, sums and numbers: a BCP 47 tag with its country. */
export async function localeOfBusiness({ models }: Database, business_id: string): Promise<string> {
  const found = await models.business.findByPk(business_id, { attributes: ['locale'], raw: true });
  return (found as unknown as { locale: string | null } | null)?.locale ?? SCHEMA_DEFAULTS.locale;
}
