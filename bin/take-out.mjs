#!/usr/bin/env node
// npm run take-out -- FILE.zip [--business KEY]: a whole business, for other programs and to be brought back.
import { withDatabase } from './setup/withDatabase.mjs';

// Nobody but whoever runs it reads the file.
process.umask(0o077);

await withDatabase('bin/take-out.ts', () => process.argv.slice(2));
