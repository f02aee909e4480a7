import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

interface OfLetter {
  business_id: string;
  id: string;
}

/**
 * Has files of the business's own go along with a letter, as they are now, in an order.
 * @param names as the files are called
 * @returns whether all of them were there
 */
export async function attachOwnFiles(
  { sequelize }: Database,
  { business_id, id }: OfLetter,
  names: readonly string[],
): Promise<boolean> {
  if (names.length === 0) return true;
  const attached = await sequelize.query(
    `insert into attachment (business_id, message_id, position, name, sha256)
     select business_id, $id, wanted.place, own_file.name, sha256
     from unnest($names::text[]) with ordinality as wanted (name, place)
     join own_file on business_id = $business_id and lower(own_file.name) = lower(wanted.name)
       and own_file.removed_at is null
     returning position`,
    { bind: { business_id, id, names }, type: QueryTypes.SELECT },
  );
  return attached.length === names.length;
}

/** What goes along with a letter. @param position one of them alone */
export async function attachmentsOf(
  { sequelize }: Database,
  { business_id, id }: OfLetter,
  position?: number,
): Promise<{ name: string; content: Buffer }[]> {
  return sequelize.query(
    `select name, content from attachment
     join file on file.business_id = attachment.business_id and file.sha256 = attachment.sha256
     where attachment.business_id = $business_id and message_id = $id
       and ($position::integer is null or position = $position) order by position`,
    { bind: { business_id, id, position: position ?? null }, type: QueryTypes.SELECT },
  );
}
