import { Readable } from 'node:stream';

/** A file that is made while it is read, to be kept on a device. @param name in ASCII, without quotation marks */
export function streamed(content: Readable, name: string, type: string): Response {
  return new Response(Readable.toWeb(content) as ReadableStream, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'x-content-type-options': 'nosniff',
    },
  });
}
