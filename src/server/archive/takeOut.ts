import type { Readable } from 'node:stream';
import { QueryTypes } from 'sequelize';
import type { ZipFile } from 'yazl';
import { inNames } from '../../core/template/naming';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import { printTemplate } from '../../core/template/text/printTemplate';
import { csvOf } from '../../core/takingOut/csv';
import { archiveFileNames, archiveFiles, contentOfFile } from '../../data/archive/archiveFiles';
import { archiveRows } from '../../data/archive/archiveRows';
import { archiveTables } from '../../data/archive/archiveTables';
import type { Database } from '../../data/database';
import { sharedWords } from '../../data/repositories/templates/sharedWords';
import { addLater } from './addLater';
import { addLetters } from './addLetters';
import { contentFile, HEAD, READ_ME, tableFile, type ArchiveHead } from './archiveForm';
import { recordsAside } from './recordsAside';
import { zipInSnapshot } from './zipInSnapshot';

/** Written as they are read: what is packed already does not become smaller. */
const PACKED = { compress: false };

/**
 * Takes a business out, whole, as it is at this moment: a zip that other programs can read, and that can be brought back. It is
 * made while it is read from, so that it takes no more memory however large it is.
 * @param at in milliseconds
 */
export function takeOut(database: Database, business_id: string, at: number): Readable {
  return zipInSnapshot(database, business_id, async (zip, end) => {
    const aside = await recordsAside(database, business_id, at);
    try {
      zip.addBuffer(Buffer.from(READ_ME), 'READ ME.txt');
      for (const { name, path } of aside.files) zip.addFile(path, name);
      await addWords(zip, database, business_id);
      await addTables(zip, database, business_id, at);
      await addFiles(zip, database, business_id);
      await addLetters(zip, database, business_id, 'letters/');
      await end();
    } finally {
      await aside.remove();
    }
  });
}

async function addTables(zip: ZipFile, database: Database, business_id: string, at: number): Promise<void> {
  const ask = <Row extends object>(sql: string) =>
    database.sequelize.query<Row>(sql, { bind: { business_id }, type: QueryTypes.SELECT });
  const tables = await archiveTables(database);
  const counted: ArchiveHead['tables'] = [];
  for (const table of tables) {
    const own = table.name === 'business' ? 'id' : 'business_id';
    const [row] = await ask<{ rows: number }>(
      `select count(*)::int as rows from ${table.name} where ${own} = $business_id`,
    );
    counted.push({ name: table.name, rows: row!.rows });
    addLater(zip, tableFile(table.name), () => archiveRows(database, business_id, table));
  }
  const [business] = await ask<{ name: string }>('select name from business where id = $business_id');
  const [schema] = await ask<{ name: string }>('select max(name) as name from migration');
  const head: ArchiveHead = {
    form: 'Fair Quill archive',
    version: 1,
    schema: schema?.name ?? '',
    business: { id: business_id, name: business!.name },
    taken_at: new Date(at).toISOString(),
    tables: counted,
  };
  zip.addBuffer(Buffer.from(`${JSON.stringify(head, undefined, 2)}\n`), HEAD);
}

async function addFiles(zip: ZipFile, database: Database, business_id: string): Promise<void> {
  addLater(zip, 'files.csv', async function* () {
    const head = ['File', 'Whose', 'In this zip'];
    yield csvOf({ head, rows: [] });
    for await (const named of archiveFileNames(database, business_id)) {
      const words = csvOf({ head, rows: named.map((one) => [one.name, one.whose, contentFile(one.sha256)]) });
      yield words.slice(words.indexOf('\r\n') + 2);
    }
  });
  for (const { sha256 } of await archiveFiles(database, business_id))
    addLater(
      zip,
      contentFile(sha256),
      async function* () {
        yield await contentOfFile(database, business_id, sha256);
      },
      PACKED,
    );
}

/** Templates, passages and signatures as text, those of all members. */
async function addWords(zip: ZipFile, database: Database, business_id: string): Promise<void> {
  const shared = await sharedWords(database, business_id);
  const add = (folder: string, name: string, text: string) =>
    zip.addBuffer(Buffer.from(text), `${folder}/${name}.md`);
  const templates = await database.sequelize.query<Parameters<typeof printTemplate>[0] & { key: string }>(
    `select template.key, version.head, version.document from template join template_version version
       on version.business_id = template.business_id and version.template_id = template.id and version.version = current_version
     where template.business_id = $business_id and deleted_at is null order by template.key`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
  for (const template of templates) add('templates', template.key, printTemplate(inNames(template, shared)));
  for (const { key, document } of shared.passages)
    add('passages', key, printMarkdown(inNames(document, shared)));
  for (const { key, document } of shared.signatures)
    add('signatures', key, printMarkdown(inNames(document, shared)));
  for (const [part, document] of Object.entries(shared.letterhead))
    add('letterhead', part, printMarkdown(inNames(document, shared)));
}
