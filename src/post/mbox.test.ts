import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inMbox, messagesIn } from './mbox';

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
});
