import { parentPort } from 'node:worker_threads';
import { schemaOf } from '../src/core/records/schema';
import { readTemplateWords } from '../src/core/writing/readTemplateWords';
import type { Asked } from '../src/server/templates/wordsReader';

// A thread of its own that reads templates' words: however hostile they are, the one that answers requests goes on.
parentPort!.on('message', ({ text, facts: { business, passages, signatures, groups } }: Asked) => {
  parentPort!.postMessage(
    readTemplateWords(text, {
      schema: schemaOf({ business }),
      passages,
      signatures,
      groups,
    }),
  );
});
