#!/usr/bin/env node
// Reads every letter of the demonstration: npm run letters -- ["Name of a template" [record:KEY]]
import { run } from './bundle.mjs';

await run('bin/letters.ts');
