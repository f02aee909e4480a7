import { encode as inBase64, wrap as linesOfBase64 } from 'nodemailer/lib/base64';
import type MimeNode from 'nodemailer/lib/mime-node';
import { encode as inQuotedPrintable, wrap as linesOfQuotedPrintable } from 'nodemailer/lib/qp';

/**
 * The bytes of a message whose contents stand in memory (RFC 2045, 2046), as the composer's streams write them: through
 * streams an ordinary letter takes some thirty turns of the event loop, and half of the time that it takes to send it.
 * @throws Error on contents that would have to be fetched
 */
export function bytesOf(message: MimeNode): Buffer {
  const written = Buffer.concat([...partsOf(message)]);
  return written.at(-1) === NEWLINE ? written : Buffer.concat([written, LAST]);
}

const NEWLINE = 0x0a;
const LAST = Buffer.from('\r\n');

function* partsOf(node: MimeNode): Generator<Buffer> {
  // Which kind it is and by what its parts are divided is known once the head is written.
  yield Buffer.from(`${node.buildHeaders()}\r\n\r\n`);
  if (node.content) yield Buffer.from(contentOf(node), 'latin1');
  if (!node.multipart) return;
  for (const [at, child] of node.childNodes.entries()) {
    yield Buffer.from(`${at ? '\r\n' : ''}--${node.boundary}\r\n`);
    yield* partsOf(child);
  }
  yield Buffer.from(`\r\n--${node.boundary}--\r\n`);
}

function contentOf(node: MimeNode): string {
  const { content } = node;
  const bytes = typeof content === 'string' ? Buffer.from(content) : content;
  if (!Buffer.isBuffer(bytes)) throw new Error('The contents of a letter are not in memory.');
  switch (node.getTransferEncoding()) {
    case 'base64':
      return linesOfBase64(inBase64(bytes));
    case 'quoted-printable':
      return linesOfQuotedPrintable(inQuotedPrintable(bytes)).replace(/\r?\n/g, '\r\n');
    default:
      return bytes.toString('latin1').replace(/\r?\n/g, '\r\n');
  }
}
