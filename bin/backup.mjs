#!/usr/bin/env node
// npm run backup -- FILE
import { backUp } from './setup/dump.mjs';
import { saying, Sentence } from './setup/sentence.mjs';
import { withOwner } from './setup/withOwner.mjs';

// Nobody but whoever runs it reads the file.
process.umask(0o077);

const [file, ...others] = process.argv.slice(2);
if (!file || file.startsWith('-') || others.length > 0)
  await saying(() => Promise.reject(new Sentence('Say into which file: npm run backup -- FILE')));
else
  await withOwner(undefined, async (url, folder) => {
    const tables = await backUp(url, folder, file);
    console.log(`All data is in ${file}: ${tables} tables. Keep it where nobody else reads it.`);
  });
