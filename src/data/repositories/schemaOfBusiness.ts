import { schemaOf, type Schema } from '../../core/records/schema';
import type { BusinessData, CustomFieldData, LinkData } from '../../core/records/recordsFile';
import type { Database } from '../database';

/** What templates of a business are judged by: its custom fields, links, language and currency, without its records. */
export async function schemaOfBusiness({ models }: Database, business_id: string): Promise<Schema> {
  const find = { where: { business_id }, order: ['position'], raw: true } as { raw: true };
  const [own, custom_fields, links] = await Promise.all([
    models.business.findByPk(business_id, { attributes: ['locale', 'currency'], raw: true }),
    models.custom_field.findAll(find),
    models.link.findAll(find),
  ]);
  const business: BusinessData = {
    ...(own as unknown as Pick<BusinessData, 'locale' | 'currency'>),
    custom_fields: custom_fields as unknown as CustomFieldData[],
    links: links as unknown as LinkData[],
  };
  return schemaOf({ business });
}
