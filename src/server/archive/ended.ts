import type { Readable } from 'node:stream';

/** Waits until all of something has been read, or whoever read it has gone. */
export function ended(out: Readable): Promise<void> {
  return new Promise((resolve, reject) => {
    out.once('end', resolve).once('error', reject);
    out.once('close', resolve);
  });
}
