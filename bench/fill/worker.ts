import { parentPort, workerData } from 'node:worker_threads';
import { fillTemplate } from '../../src/core/fill/fillTemplate';
import { ordinaryLetters } from './ordinaryLetters';
import { manyRecords } from './records';

// Fills so many letters in a worker, from the making of the records on, and tells how long the filling took.
const { letters, sets } = workerData as { letters: number; sets: number };
const { compiled, situations } = await ordinaryLetters(manyRecords(sets));
const began = performance.now();
let characters = 0;
for (let i = 0; i < letters; i++) characters += fillTemplate(compiled, situations[i % sets]!).html.length;
parentPort!.postMessage({ milliseconds: performance.now() - began, characters });
