#!/usr/bin/env node
// Says what a message is: npm run --silent read-mail -- FILE.eml
import { run } from './bundle.mjs';

await run('bin/read-mail.ts', ['mailparser', 'file-type']);
