import { schemaOf, type Schema } from '../../core/records/schema';
import type { BusinessData, CustomFieldData, LinkData } from '../../core/records/recordsFile';
import type { Database } from '../database';

/** What paths may say at a business: its custom fields and links, without any of its records. */
export async function schemaOfBusiness({ models }: Database, business_id: string): Promise<Schema> {
  const find = { where: { business_id }, order: ['position'], raw: true } as { raw: true };
  const [custom_fields, links] = await Promise.all([
    models.custom_field.findAll(find),
    models.link.findAll(find),
  ]);
  const business: BusinessData = {
    custom_fields: custom_fields as unknown as CustomFieldData[],
    links: links as unknown as LinkData[],
  };
  return schemaOf({ business });
}
