#!/usr/bin/env node
// Makes templates of texts with another program’s placeholders: npm run --silent adopt -- FILE…
import { run } from './bundle.mjs';

await run('bin/adopt.ts', ['mailparser', 'file-type', 'yauzl', 'sanitize-html', 'html-to-text']);
