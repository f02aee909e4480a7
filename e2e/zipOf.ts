import { buffer } from 'node:stream/consumers';
import { ZipFile } from 'yazl';

/** A zip of some files by their names. */
export async function zipOf(files: Readonly<Record<string, string | Buffer>>): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, content] of Object.entries(files)) zip.addBuffer(Buffer.from(content as string), name);
  zip.end();
  return buffer(zip.outputStream as unknown as AsyncIterable<Buffer>);
}
