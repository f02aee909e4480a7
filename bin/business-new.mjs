#!/usr/bin/env node
// npm run business:new: an invitation to make another business here.
import { withDatabase } from './setup/withDatabase.mjs';

await withDatabase('bin/business-new.ts', () => []);
