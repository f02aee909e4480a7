import { QueryTypes } from 'sequelize';
import type { Database } from '../database';

/** The files of a business: their names by what they hold, each with its size. */
export async function archiveFiles(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
): Promise<{ sha256: string; size: number }[]> {
  return sequelize.query('select sha256, size from file where business_id = $business_id order by sha256', {
    bind: { business_id },
    type: QueryTypes.SELECT,
  });
}

export async function contentOfFile(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  sha256: string,
): Promise<Buffer> {
  const [file] = await sequelize.query<{ content: Buffer }>(
    'select content from file where business_id = $business_id and sha256 = $sha256',
    { bind: { business_id, sha256 }, type: QueryTypes.SELECT },
  );
  return file?.content ?? Buffer.alloc(0);
}

/** A file by the name that somebody gave it, with whose it is in words, and the name of its content. */
export interface NamedFile {
  id: string;
  name: string;
  whose: string;
  sha256: string;
}

const AT_ONCE = 1000;

/** The names of files, some at a time: those of the business's own, and those of its records. */
export async function* archiveFileNames(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
): AsyncGenerator<NamedFile[]> {
  for (let after: string | undefined = '00000000-0000-0000-0000-000000000000'; after !== undefined;) {
    const rows: NamedFile[] = await sequelize.query<NamedFile>(
      `select * from (
         select id, name, '' as whose, sha256 from own_file where business_id = $business_id and removed_at is null
         union all
         select file.id, file.name, concat_ws(', ', client.name, project.title, item.name,
             booking.service || ' ' || to_char(booking.starts_at, 'YYYY-MM-DD')), file.sha256
           from record_file file join client on client.business_id = file.business_id and client.id = file.client_id
           left join project on project.business_id = file.business_id and project.id = file.project_id
           left join item on item.business_id = file.business_id and item.id = file.item_id
           left join booking on booking.business_id = file.business_id and booking.id = file.booking_id
           where file.business_id = $business_id and file.removed_at is null) named
       where id > $after order by id limit ${AT_ONCE}`,
      { bind: { business_id, after }, type: QueryTypes.SELECT },
    );
    yield rows;
    after = rows.length < AT_ONCE ? undefined : rows.at(-1)!.id;
  }
}
