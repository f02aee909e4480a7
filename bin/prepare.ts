import path from 'node:path';
import { prepareDatabase } from '../src/server/prepareDatabase';

// Brings a database up to date, as the owner of its tables; with --demonstration loads the demonstration business anew, with
// --demonstration-if-empty only where there is no business yet.
const [root = '.', ...flags] = process.argv.slice(2);
try {
  const { DATABASE_URL: url = '', DATABASE_OWNER_URL: ownerUrl } = process.env;
  const done = await prepareDatabase(ownerUrl || url, {
    ...(ownerUrl ? { role: decodeURIComponent(new URL(url).username) } : {}),
    migrations: path.join(root, 'src/data/migrations'),
    demonstration: path.join(root, 'src/data/demonstration'),
    load: flags.includes('--demonstration')
      ? 'anew'
      : flags.includes('--demonstration-if-empty')
        ? 'if empty'
        : 'never',
    ...(process.env.MAILBOX_BEFORE ? { mailboxes: process.env.MAILBOX_BEFORE } : {}),
    now: process.env.FAIRQUILL_NOW ? Date.parse(process.env.FAIRQUILL_NOW) : Date.now(),
  });
  for (const line of done) console.log(line);
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 1;
}
