#!/usr/bin/env node
// npm run --silent change-key: passwords of sending accounts are sealed with a new key from now on.
import { withDatabase } from './setup/withDatabase.mjs';

await withDatabase('bin/change-key.ts', () => process.argv.slice(2));
