import { execFileSync, spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { accessSync, readFileSync } from 'node:fs';
import { chown, mkdir, rename, rm, writeFile } from 'node:fs/promises';
import { createConnection } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

const DOVECOT = '/usr/sbin/dovecot';

/** Every mailbox opens with it. */
export const MAILBOX_PASSWORD = 'mailbox';

/** The folders of a mailbox. */
export type Folder = 'inbox' | 'sent';

/** A server of mailboxes on loopback: any address has one, which opens with {@link MAILBOX_PASSWORD}. */
export interface Dovecot {
  port: number;
  /** Puts a message into a mailbox, as if it had just come, or been written there. */
  put: (address: string, folder: Folder, raw: Buffer) => Promise<void>;
  stop: () => Promise<void>;
}

/** Whether Dovecot (Debian's package dovecot-imapd) is on this machine. */
export function hasDovecot(): boolean {
  try {
    accessSync(DOVECOT);
    return true;
  } catch {
    return false;
  }
}

interface Ways {
  /** where it asks whether somebody may come in with what a provider gave (RFC 7662) */
  introspection?: string;
  /** it tells by itself what comes (RFC 2177) */
  idle?: boolean;
}

/** Starts one for as long as this process lives; what a killed one before it left at the port is ended. */
export async function startDovecot(
  port: number,
  { introspection, idle = true }: Ways = {},
): Promise<Dovecot> {
  const folder = path.join(tmpdir(), `fair-quill-imap-${port}`);
  endFormer(folder);
  await rm(folder, { recursive: true, force: true });
  const mail = path.join(folder, 'mail');
  await mkdir(mail, { recursive: true });
  const who = owner();
  if (who.isOther) await chown(mail, who.uid, who.gid);
  const settings = path.join(folder, 'dovecot.conf');
  await writeFile(settings, settingsOf({ folder, port, who, idle, introspection }));
  if (introspection !== undefined) await writeFile(path.join(folder, 'oauth2.conf'), oauth2Of(introspection));
  const process = spawn(DOVECOT, ['-F', '-c', settings], { stdio: 'ignore' });
  const ended = new Promise<void>((resolve) => process.once('exit', () => resolve()));
  await Promise.race([
    answering(port),
    ended.then(() => {
      throw new Error(`Dovecot does not start: see ${path.join(folder, 'log')}.`);
    }),
  ]);
  return {
    port,
    async put(address, to, raw) {
      const place = path.join(mail, address.toLowerCase(), ...(to === 'sent' ? ['.Sent'] : []));
      for (const part of ['tmp', 'new', 'cur']) await ownFolder(path.join(place, part), mail, who);
      const name = `${Date.now()}.${randomUUID()}.here`;
      const written = path.join(place, 'tmp', name);
      await writeFile(written, raw);
      if (who.isOther) await chown(written, who.uid, who.gid);
      await rename(written, path.join(place, 'new', name));
    },
    async stop() {
      process.kill();
      await ended;
      await rm(folder, { recursive: true, force: true });
    },
  };
}

interface Owner {
  uid: number;
  gid: number;
  /** the mail is not that of whoever this process runs as */
  isOther: boolean;
}

/** Whose the mail is: Dovecot reads none of root's. */
function owner(): Owner {
  const [uid, gid] = [process.getuid!(), process.getgid!()];
  if (uid !== 0) return { uid, gid, isOther: false };
  const idOf = (flag: string) => Number(execFileSync('id', [flag, 'dovecot'], { encoding: 'utf8' }));
  return { uid: idOf('-u'), gid: idOf('-g'), isOther: true };
}

interface Settings extends Ways {
  folder: string;
  port: number;
  who: Owner;
}

function settingsOf({ folder, port, who, idle, introspection }: Settings): string {
  const name = execFileSync('id', ['-un'], { encoding: 'utf8' }).trim();
  const asItself = who.isOther
    ? ''
    : `default_internal_user = ${name}
default_login_user = ${name}
service imap-login {
  chroot =
}
service anvil {
  chroot =
}`;
  return `protocols = imap
listen = 127.0.0.1
base_dir = ${folder}/run
state_dir = ${folder}/state
log_path = ${folder}/log
ssl = no
disable_plaintext_auth = no
auth_failure_delay = 0 secs
auth_mechanisms = plain login${introspection === undefined ? '' : ' xoauth2 oauthbearer'}
first_valid_uid = 1
mail_location = maildir:${folder}/mail/%u
mailbox_idle_check_interval = 1 secs
${idle ? '' : 'imap_capability = IMAP4rev1 LITERAL+ SPECIAL-USE'}
service imap-login {
  inet_listener imap {
    port = ${port}
  }
  inet_listener imaps {
    port = 0
  }
}
service anvil {
  unix_listener anvil-auth-penalty {
    mode = 0
  }
}
${asItself}
${
  introspection === undefined
    ? ''
    : `passdb {
  driver = oauth2
  mechanisms = xoauth2 oauthbearer
  args = ${folder}/oauth2.conf
}`
}
passdb {
  driver = static
  args = password=${MAILBOX_PASSWORD}
}
userdb {
  driver = static
  args = uid=${who.uid} gid=${who.gid} home=${folder}/mail/%u
}
namespace inbox {
  inbox = yes
  mailbox Sent {
    auto = subscribe
    special_use = \\Sent
  }
}
`;
}

function oauth2Of(introspection: string): string {
  return `introspection_url = ${introspection}
introspection_mode = post
username_attribute = username
active_attribute = active
active_value = true
`;
}

async function ownFolder(folder: string, within: string, who: Owner): Promise<void> {
  if (folder === within) return;
  await ownFolder(path.dirname(folder), within, who);
  const made = await mkdir(folder, { recursive: true });
  if (made !== undefined && who.isOther) await chown(folder, who.uid, who.gid);
}

function endFormer(folder: string): void {
  try {
    process.kill(Number(readFileSync(path.join(folder, 'run', 'master.pid'), 'utf8')));
  } catch {
    // There is none.
  }
}

async function answering(port: number): Promise<void> {
  for (let tries = 0; tries < 100; tries++) {
    const answers = await new Promise<boolean>((resolve) => {
      const socket = createConnection(port, '127.0.0.1')
        .once('data', () => {
          socket.destroy();
          resolve(true);
        })
        .once('error', () => resolve(false));
    });
    if (answers) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`Nothing answers at port ${port}.`);
}
