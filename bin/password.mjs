#!/usr/bin/env node
// npm run --silent password -- ADDRESS: a new password for whoever signs in with it.
import { withDatabase } from './setup/withDatabase.mjs';

await withDatabase('bin/password.ts', () => process.argv.slice(2));
