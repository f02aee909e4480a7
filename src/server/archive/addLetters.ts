import type { ZipFile } from 'yazl';
import { keyOfName } from '../../core/template/keyOfName';
import { archiveLetters } from '../../data/archive/archiveLetters';
import type { Database } from '../../data/database';
import { addLater } from './addLater';
import { asMessage } from './asMessage';

/** Adds letters to a zip, each as a message: all of a business, or those of a client. */
export async function addLetters(
  zip: ZipFile,
  database: Database,
  business_id: string,
  folder: string,
  client_id?: string,
): Promise<void> {
  for await (const letter of archiveLetters(database, business_id, client_id)) {
    const day = letter.at.toISOString().slice(0, 10);
    const name = `${folder}${day} ${keyOfName(letter.subject, 'letter').slice(0, 60)} ${letter.id.slice(0, 8)}.eml`;
    // Its words are in memory only while it is written.
    addLater(zip, name, async function* () {
      yield await asMessage(database, business_id, letter);
    });
  }
}
