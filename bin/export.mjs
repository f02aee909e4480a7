#!/usr/bin/env node
// npm run --silent export -- [--business KEY] [--out FILE.json]
import { withDatabase } from './setup/withDatabase.mjs';

await withDatabase('bin/export.ts', () => process.argv.slice(2));
