import { ensureProgram } from './debian.mjs';

/** Debian's server of mailboxes, for the tests of those that are read. */
export function ensureDovecot() {
  return ensureProgram('/usr/sbin/dovecot', 'dovecot-imapd', 'A server of mailboxes');
}
