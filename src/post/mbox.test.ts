import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inMbox, messagesIn, messagesOf } from './mbox';

const AT = { from: 'oda@hartigan.example', at: new Date('2026-11-05T09:00:00Z') };
const message = (words: string) => Buffer.from(`Subject: x\n\n${words}\n`);

describe('a mailbox file', () => {
  it('has each message below a line of its own, which no line of theirs is taken for', () => {
    const file = inMbox(Buffer.from('Subject: x\r\n\r\nFrom here on\r\n>From there\r\n'), AT).toString();
    expect(file).toBe(
      'From oda@hartigan.example Thu Nov  5 09:00:00 2026\nSubject: x\n\n>From here on\n>>From there\n\n',
    );
  });

  it('gives its messages as they were', () => {
    const line = fc.constantFrom('From here', '>From there', 'words', '', 'From ', '>>From x', 'ü');
    fc.assert(
      fc.property(fc.array(fc.array(line, { maxLength: 6 }), { minLength: 1, maxLength: 6 }), (all) => {
        const messages = all.map((lines) => message(lines.join('\n')));
        const file = Buffer.concat(messages.map((one) => inMbox(one, AT)));
        const read = messagesIn(file, 100).map((one) => one.toString().trimEnd());
        expect(read).toEqual(messages.map((one) => one.toString().trimEnd()));
      }),
    );
  });

  it('is one message where it is none', () => {
    expect(messagesIn(message('From \n\nFrom here'), 10)).toEqual([message('From \n\nFrom here')]);
    expect(messagesIn(Buffer.alloc(0), 10)).toEqual([Buffer.alloc(0)]);
  });

  it('is read no further than is wanted, and in no time', () => {
    const file = Buffer.from('From a b\n\n'.repeat(200_000));
    expect(messagesIn(file, 100)).toHaveLength(100);
  });

  it('of any size gives the same as it is read, wherever its pieces are cut', async () => {
    const line = fc.constantFrom('From here', '>From there', 'words', '', 'From ', '\r', 'ü');
    const files = fc.array(line, { maxLength: 12 }).map((lines) => Buffer.from(lines.join('\n')));
    await fc.assert(
      fc.asyncProperty(files, fc.integer({ min: 1, max: 9 }), async (file, size) => {
        expect(await all(piecesOf(file, size), 1_000)).toEqual(file.length ? messagesIn(file, 100) : []);
      }),
      { numRuns: 1_000 },
    );
  });

  it('has nothing of what is too large, and the rest', async () => {
    const large = message(`${'x'.repeat(70)}\n`.repeat(1_000));
    const file = Buffer.concat([message('one'), large, message('two')].map((one) => inMbox(one, AT)));
    const found = await all(piecesOf(file, 1_000), 10_000);
    expect(found.map((one) => one?.toString().trimEnd())).toEqual([
      message('one').toString().trimEnd(),
      undefined,
      message('two').toString().trimEnd(),
    ]);
    expect(await all(piecesOf(large, 1_000), 10_000)).toEqual([undefined]);
  });
});

async function* piecesOf(file: Buffer, size: number): AsyncGenerator<Buffer> {
  for (let at = 0; at < file.length; at += size) yield file.subarray(at, at + size);
}

async function all(chunks: AsyncIterable<Buffer>, largest: number): Promise<(Buffer | undefined)[]> {
  const found: (Buffer | undefined)[] = [];
  for await (const one of messagesOf(chunks, largest)) found.push(one);
  return found;
}
