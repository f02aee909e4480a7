import type { ImapFlow } from 'imapflow';
import type { MailServer } from '../mailServer';
import { findFolders } from './folders';
import { mailboxFailure } from './mailboxFailure';
import { openMailbox } from './openMailbox';

/**
 * Opens a mailbox as it will be read, and leaves it as it was.
 * @param sent_folder what its owner calls the folder with what they have written; null: the server tells
 * @returns what is wrong, in words, at the fact that is; undefined: it can be read
 */
export async function tryMailbox(
  server: MailServer,
  sent_folder: string | null,
): Promise<{ field: string; words: string } | undefined> {
  let client: ImapFlow | undefined;
  try {
    client = await openMailbox(server);
    const { inbox, sent } = await findFolders(client, sent_folder);
    if (sent_folder !== null && sent === undefined)
      return {
        field: 'sent_folder',
        words: `The mailbox has no folder called ${sent_folder}. Write it as your mail program shows it, or leave it empty.`,
      };
    for (const path of sent === undefined ? [inbox] : [inbox, sent])
      await client.mailboxOpen(path, { readOnly: true });
    await client.logout();
    return undefined;
  } catch (error) {
    return mailboxFailure(error, server);
  } finally {
    client?.close();
  }
}
