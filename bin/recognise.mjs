#!/usr/bin/env node
// Makes a template of a letter: npm run --silent recognise -- --text LETTER --records RECORDS.json --from client:KEY
import { run } from './bundle.mjs';

await run('bin/recognise.ts', []);
