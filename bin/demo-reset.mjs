#!/usr/bin/env node
// npm run demo:reset: loads the demonstration business anew, laid relative to today.
import { withDatabase } from './setup/withDatabase.mjs';

await withDatabase('bin/prepare.ts', (root) => [root, '--demonstration']);
