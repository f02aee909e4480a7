#!/usr/bin/env node
// npm run take-in -- PATH --of ADDRESS [--sent]: takes in what lies in a Maildir, a mailbox file or one message.
import { withDatabase } from './setup/withDatabase.mjs';

await withDatabase('bin/take-in.ts', () => process.argv.slice(2));
