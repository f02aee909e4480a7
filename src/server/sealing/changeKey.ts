import { randomBytes } from 'node:crypto';
import { readFile, rename, writeFile } from 'node:fs/promises';
import { openDatabase } from '../../data/database';
import { sealAllAnew } from '../../data/repositories/accounts/mailAccounts';
import { keyring, NoKey, type SealingKey } from './keyring';
import { seal, unseal } from './seal';

/**
 * Seals every secret with another key: a new one, put first in the file of keys until all are, and then alone in it; or the first
 * of those in SEALING_KEY. Killed at any moment it leaves keys that open everything, and can be run again.
 * @returns what was done, in words
 * @throws NoKey where a secret cannot be opened: nothing has changed then but that another key stands in the file
 */
export async function changeKey(url: string, environment: NodeJS.ProcessEnv = process.env): Promise<string> {
  const { SEALING_KEY, SEALING_KEY_FILE: file } = environment;
  if (!SEALING_KEY && !file) throw new NoKey('There is no key that passwords are sealed with.');
  let made: string | undefined;
  if (!SEALING_KEY) {
    made = randomBytes(32).toString('base64');
    await write(file!, `${made}\n${await readFile(file!, 'utf8')}`);
  } else if (keyring(environment).length < 2)
    throw new NoKey('Put the new key before the old one in SEALING_KEY, with a comma between.');
  const sealed = await sealAnew(url, keyring(environment));
  if (made) await write(file!, `${made}\n`);
  const what = sealed === 1 ? '1 secret is' : `${sealed} secrets are`;
  return made
    ? `${what} sealed with a new key, in ${file}.`
    : `${what} sealed with the first key of SEALING_KEY: the others can go once every process has been started with it.`;
}

async function sealAnew(url: string, keys: [SealingKey, ...SealingKey[]]): Promise<number> {
  const database = openDatabase(url, { connections: 1, across: true });
  try {
    return await database.inTransaction(() =>
      sealAllAnew(database, (sealed, whose) => seal(unseal(sealed, whose, keys), whose, keys)),
    );
  } finally {
    await database.close();
  }
}

async function write(file: string, keys: string): Promise<void> {
  await writeFile(`${file}.new`, keys, { mode: 0o600 });
  await rename(`${file}.new`, file);
}
