#!/usr/bin/env node
// npm run restore -- FILE [--over]
import { restore } from './setup/dump.mjs';
import { saying, Sentence } from './setup/sentence.mjs';
import { withOwner } from './setup/withOwner.mjs';

const over = process.argv.includes('--over');
const [file, ...others] = process.argv.slice(2).filter((word) => word !== '--over');
if (!file || file.startsWith('-') || others.length > 0)
  await saying(() => Promise.reject(new Sentence('Say from which file: npm run restore -- FILE [--over]')));
else
  await withOwner(
    'The application is running. Stop it first, then bring the data back.',
    async (url, folder) => {
      const tables = await restore(url, folder, file, { over });
      console.log(`The data of ${file} is back: ${tables} tables.`);
    },
  );
