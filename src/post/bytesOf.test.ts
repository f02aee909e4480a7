import fc from 'fast-check';
import MailComposer from 'nodemailer/lib/mail-composer';
import { describe, expect, it } from 'vitest';
import { bytesOf } from './bytesOf';

function message(mail: ConstructorParameters<typeof MailComposer>[0]) {
  return new MailComposer({ newline: '\r\n', from: 'imke@larkfield.example', ...mail }).compile();
}

/** As the composer's own streams write it: another way to the same bytes. */
const streamed = (node: ReturnType<typeof message>) => node.build();

describe('the bytes of a message', () => {
  it('are those that the composer’s streams write', async () => {
    // Before the end of a text the streams break a line one character elsewhere where it ends in spaces.
    const words = fc.string({ unit: 'grapheme', maxLength: 400 }).map((text) => `${text.trimEnd()}.\n`);
    await fc.assert(
      fc.asyncProperty(
        words,
        words,
        fc.array(
          fc.record({
            filename: fc.constantFrom('visit.ics', 'LPC-1034.pdf', 'täglich.csv', 'from-oda.eml', 'picture'),
            content: fc.uint8Array({ maxLength: 300 }).map((bytes) => Buffer.from(bytes)),
          }),
          { maxLength: 3 },
        ),
        async (text, html, attachments) => {
          const alternatives = [
            {
              contentType: 'text/plain; charset=utf-8',
              contentTransferEncoding: 'quoted-printable',
              content: text,
            },
            {
              contentType: 'text/html; charset=utf-8',
              contentTransferEncoding: 'quoted-printable',
              content: html,
            },
          ];
          const node = message({ subject: text, alternatives, attachments } as never);
          expect(bytesOf(node).toString('latin1')).toBe((await streamed(node)).toString('latin1'));
        },
      ),
      { numRuns: 300 },
    );
  });

  it('end with a line’s end, whatever the contents end with', () => {
    expect(bytesOf(message({ text: 'Hello' })).toString()).toMatch(/Hello\r\n$/);
    expect(bytesOf(message({ text: 'Hello\n' })).toString()).toMatch(/Hello\r\n$/);
  });

  it('are no guess where contents would have to be fetched', () => {
    const elsewhere = message({ attachments: [{ path: '/etc/hostname' }] });
    expect(() => bytesOf(elsewhere)).toThrow('not in memory');
  });
});
