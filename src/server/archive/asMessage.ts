import { QueryTypes } from 'sequelize';
import { imageSources } from '../../core/fill/write/images';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import { contentOfFile } from '../../data/archive/archiveFiles';
import type { ArchiveLetter } from '../../data/archive/archiveLetters';
import type { Database } from '../../data/database';
import { picturesOfBusiness } from '../../data/repositories/files/pictures';
import { attachmentsOf } from '../../data/repositories/sending/attachments';
import { compose } from '../../post/compose';

/** A letter as a message (RFC 5322): one that came in as it came, one that went as it would be written today. */
export async function asMessage(
  database: Database,
  business_id: string,
  { id, original, ...head }: ArchiveLetter,
): Promise<Buffer> {
  if (original !== null) return contentOfFile(database, business_id, original);
  const [words] = await database.sequelize.query<{
    text: string;
    html: string | null;
    quoted: string | null;
  }>('select text, html, quoted from message where business_id = $business_id and id = $id', {
    bind: { business_id, id },
    type: QueryTypes.SELECT,
  });
  const { text, html, quoted } = words!;
  const to = (role: string) =>
    head.recipients.filter((one) => one.role === role).map(({ name, address }) => ({ name, address }));
  return compose({
    messageId: `<${head.message_id}>`,
    date: head.at,
    from: { name: head.from_name ?? '', address: head.from_address ?? '' },
    to: to('to'),
    copies: to('copy'),
    blindCopies: to('blind copy'),
    subject: head.subject,
    text,
    ...(quoted ? { quoted } : {}),
    ...(html ? { html } : {}),
    language: head.language ?? SCHEMA_DEFAULTS.locale,
    pictures: await picturesOfBusiness(database, business_id, imageSources(html ?? '')),
    attachments: await attachmentsOf(database, { business_id, id }),
  });
}
