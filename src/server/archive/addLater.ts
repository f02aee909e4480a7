import { AsyncLocalStorage } from 'node:async_hooks';
import { Readable } from 'node:stream';
import type { ZipFile } from 'yazl';

/** Adds to a zip what is made when its turn comes, within the same transaction. */
export function addLater(
  zip: ZipFile,
  name: string,
  make: () => AsyncIterable<string | Buffer>,
  options = {},
): void {
  // The zip reads when it is read: that this is still the work of the snapshot has to be carried along.
  const within = AsyncLocalStorage.snapshot();
  zip.addReadStreamLazy(name, options, (given) => {
    const parts = within(() => make()[Symbol.asyncIterator]());
    given(
      null,
      Readable.from(
        { [Symbol.asyncIterator]: () => ({ next: () => within(() => parts.next()) }) },
        { objectMode: false },
      ),
    );
  });
}
