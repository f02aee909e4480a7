import type { Work } from './beside.worker';

/**
 * Starts some work beside the page. It is one script for all: two workers of one document whose scripts differ only behind a “#”, as the
 * bundler would have them, may get each other’s from a browser’s memory, and then do each other’s work.
 */
export function startBeside(work: Work): Worker {
  const worker = new Worker(new URL('./beside.worker.ts', import.meta.url));
  worker.postMessage(work);
  return worker;
}
