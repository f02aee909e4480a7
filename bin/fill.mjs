#!/usr/bin/env node
// Fills a template from a records file: npm run --silent fill -- --template FILE.md --records RECORDS.json --from invoice:KEY
import { run } from './bundle.mjs';

await run('bin/fill.ts', ['nodemailer', 'pdfmake']);
