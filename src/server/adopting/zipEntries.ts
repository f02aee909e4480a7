import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { NoTemplate } from './noTemplate';

/** A file of a zip. */
export interface ZipEntry {
  name: string;
  content: Buffer;
}

const MOST_ENTRIES = 1_000;
/** Of one file, and of all together, unpacked. */
const LARGEST_ENTRY = 40_000_000;
const LARGEST_TOGETHER = 100_000_000;

/**
 * The files of a zip, in its order; what systems put into one beside them is left out.
 * @throws NoTemplate it is damaged, locked, or more than is read
 */
export async function entriesOf(file: string, bytes: Buffer): Promise<ZipEntry[]> {
  const zip = await opened(file, bytes);
  if (zip.entryCount > MOST_ENTRIES)
    throw new NoTemplate(
      `${file}:1:1: At most ${MOST_ENTRIES} files of a zip are read; it has ${zip.entryCount}.`,
    );
  const found: ZipEntry[] = [];
  let together = 0;
  try {
    for await (const entry of eachEntry(zip)) {
      const name = entry.fileName;
      if (/\/$|(?:^|\/)(?:__MACOSX\/|\.|Thumbs\.db$|desktop\.ini$)/.test(name)) continue;
      if (entry.isEncrypted()) throw new NoTemplate(`${file}/${name}: It is locked with a password.`);
      together += entry.uncompressedSize;
      if (entry.uncompressedSize > LARGEST_ENTRY || together > LARGEST_TOGETHER)
        throw new NoTemplate(`${file}/${name}: It unpacks to more than is read.`);
      found.push({ name, content: await contentOf(zip, entry) });
    }
  } catch (error) {
    if (error instanceof NoTemplate) throw error;
    throw new NoTemplate(`${file}:1:1: The zip is damaged (${(error as Error).message}).`);
  }
  return found;
}

function opened(file: string, bytes: Buffer): Promise<ZipFile> {
  return new Promise((resolve, reject) => {
    yauzl.fromBuffer(bytes, { lazyEntries: true, strictFileNames: false }, (error, zip) => {
      if (error) reject(new NoTemplate(`${file}:1:1: The zip is damaged (${error.message}).`));
      else resolve(zip);
    });
  });
}

async function* eachEntry(zip: ZipFile): AsyncGenerator<Entry> {
  for (;;) {
    const entry = await new Promise<Entry | undefined>((resolve, reject) => {
      zip.once('entry', resolve);
      zip.once('end', () => resolve(undefined));
      zip.once('error', reject);
      zip.readEntry();
    });
    zip.removeAllListeners('entry');
    zip.removeAllListeners('end');
    zip.removeAllListeners('error');
    if (!entry) return;
    yield entry;
  }
}

/** yauzl gives no more bytes than the zip says, and an error where there would be. */
function contentOf(zip: ZipFile, entry: Entry): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) => {
      if (error) return reject(error);
      const chunks: Buffer[] = [];
      stream.on('data', (chunk: Buffer) => chunks.push(chunk));
      stream.once('end', () => resolve(Buffer.concat(chunks)));
      stream.once('error', reject);
    });
  });
}
