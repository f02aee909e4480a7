#!/usr/bin/env node
// Says what would come in from a file of clients: npm run --silent read -- FILE [--locale en-GB]
import { run } from './bundle.mjs';

await run('bin/read.ts');
