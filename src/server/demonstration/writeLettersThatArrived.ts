import { mkdir, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { QueryTypes } from 'sequelize';
import { archiveLetters } from '../../data/archive/archiveLetters';
import type { Database } from '../../data/database';
import { asMessage } from '../archive/asMessage';

/**
 * Writes the letters that have arrived into a folder, as they lie in their readers' mailboxes: each headed by who gave it
 * over and whom it was brought to (RFC 5321, 4.4; “Delivered-To” as servers write it). What was there goes.
 */
export async function writeLettersThatArrived(database: Database, folder: string): Promise<void> {
  await rm(folder, { recursive: true, force: true });
  await mkdir(folder, { recursive: true });
  const arrived = await database.sequelize.query<{ business_id: string; id: string }>(
    "select business_id, id from message where direction = 'out' and status in ('sent', 'delivered', 'opened')",
    { type: QueryTypes.SELECT },
  );
  const ids = new Set(arrived.map(({ id }) => id));
  for (const business_id of new Set(arrived.map((one) => one.business_id))) {
    for await (const letter of archiveLetters(database, business_id)) {
      if (!ids.has(letter.id)) continue;
      const trace = [
        `Return-Path: <${letter.from_address}>`,
        ...letter.recipients.map(({ address }) => `Delivered-To: ${address}`),
      ].map((line) => `${line}\r\n`);
      const message = await asMessage(database, business_id, letter);
      await writeFile(
        path.join(folder, `${String(letter.sequence).padStart(9, '0')}.eml`),
        Buffer.concat([Buffer.from(trace.join('')), message]),
      );
    }
  }
}
