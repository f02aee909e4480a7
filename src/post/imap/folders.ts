import type { ImapFlow } from 'imapflow';

/** The folders of a mailbox that are read. */
export interface Folders {
  inbox: string;
  /** where lies what its owner has written; undefined: none is known */
  sent?: string | undefined;
}

/**
 * Finds the folders of a mailbox that are read.
 * @param named what its owner calls the folder with what they have written; null: the one that the server tells of (RFC 6154), or that
 * has a name as many have
 */
export async function findFolders(client: ImapFlow, named: string | null): Promise<Folders> {
  const folders = await client.list();
  const sent =
    named === null
      ? folders.find(({ specialUse }) => specialUse === '\\Sent')
      : folders.find(({ path, name }) => path === named || name === named);
  const inbox = folders.find(({ specialUse }) => specialUse === '\\Inbox')?.path ?? 'INBOX';
  return { inbox, ...(sent ? { sent: sent.path } : {}) };
}
