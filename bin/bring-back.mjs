#!/usr/bin/env node
// npm run bring-back -- FILE.zip [--business KEY]: what "take-out" wrote, into a business that is empty.
import { withDatabase } from './setup/withDatabase.mjs';

await withDatabase('bin/bring-back.ts', () => process.argv.slice(2));
