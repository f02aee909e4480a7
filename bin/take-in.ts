import { parseArgs } from 'node:util';
import { connection } from '../src/server/connection';
import { takeFromFiles } from '../src/server/incoming/takeFromFiles';

// npm runs a script in the project's folder; paths are meant from where it was called.
if (process.env.npm_lifecycle_event === 'take-in') process.chdir(process.env.INIT_CWD ?? '.');

const USAGE = 'Say what is taken in, and whose it is: npm run take-in -- PATH --of ADDRESS [--sent]';

const WORDS = {
  taken: 'taken in',
  noted: 'told what became of letters',
  known: 'here already',
  left: 'left, as none of the business’s matters',
  'too large': 'too large',
  'no message': 'no message',
};

try {
  const { values, positionals } = parseArgs({
    options: { of: { type: 'string' }, sent: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const [place, ...others] = positionals;
  if (!place || !values.of || others.length > 0) throw new Error(USAGE);
  const found = await takeFromFiles(place, values.of, values.sent ? 'sent' : 'inbox');
  const said = Object.entries(WORDS).filter(([result]) => found[result as keyof typeof WORDS] > 0);
  const parts = said.map(([result, words]) => `${found[result as keyof typeof WORDS]} ${words}`);
  console.log(`${parts.join(', ') || 'No message is there'}.`);
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
} finally {
  await connection().close();
}
