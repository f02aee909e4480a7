import type { Readable } from 'node:stream';
import { ZipFile } from 'yazl';
import type { Database } from '../../data/database';

/**
 * Makes a zip of a business, as it is at one moment, while it is read, so that it takes no more memory however large it is.
 * @param fill adds to it; `end` is called when all is added, and is over when all has been read
 */
export function zipInSnapshot(
  database: Database,
  business_id: string,
  fill: (zip: ZipFile, end: () => Promise<void>) => Promise<void>,
): Readable {
  const zip = new ZipFile();
  // yazl's own type says less than it is.
  const out = zip.outputStream as unknown as Readable;
  (zip as unknown as NodeJS.EventEmitter).on('error', (error: Error) => out.destroy(error));
  const made = database.inSnapshot(business_id, () =>
    fill(zip, () => {
      zip.end();
      return ended(out);
    }),
  );
  made.catch((error: unknown) => out.destroy(error instanceof Error ? error : new Error(String(error))));
  return out;
}

function ended(out: Readable): Promise<void> {
  return new Promise((resolve, reject) => {
    out.once('end', resolve).once('error', reject);
    // Whoever asked for it has gone.
    out.once('close', resolve);
  });
}
