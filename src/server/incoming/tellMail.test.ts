import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tellMail } from './tellMail';
import { CORPUS } from './test/corpus';

const HERE = { locale: 'en-GB', now: Date.parse('2026-11-25T09:00:00Z') };

describe.each(Object.entries(CORPUS))('of %s', (_, messages) => {
  it.each(messages.map((one) => [one.name, one] as const))('%s', async (_, { raw, told }) => {
    const { deliveries, files, ...others } = await tellMail(raw, HERE);
    const { deliveries: reported, files: along, ...rest } = told;
    expect(others).toMatchObject(rest);
    if (reported)
      expect(
        deliveries?.map(({ address, state, status, reason }) => [address, state, status, reason]),
      ).toEqual(reported);
    if (along) expect(files.map(({ name, type }) => [name, type])).toEqual(along);
  });
});

it('is told what it is wherever it is cut off, and whatever byte of it is another', async () => {
  const all = Object.values(CORPUS)
    .flat()
    .filter(({ raw }) => raw.length < 20_000);
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...all),
      fc.nat(20_000),
      fc.array(fc.tuple(fc.nat(20_000), fc.nat(255)), { maxLength: 8 }),
      async ({ raw }, cut, changes) => {
        const bytes = Buffer.from(raw.subarray(0, cut));
        for (const [at, byte] of changes) if (at < bytes.length) bytes[at] = byte;
        const { is, words, quoted } = await tellMail(bytes, HERE);
        expect(['answer', 'delivery report', 'out of office', 'other']).toContain(is);
        expect(typeof words + typeof quoted).toBe('stringstring');
      },
    ),
    { numRuns: 300 },
  );
});

it('of one that is too large, and whose head is too, it is said that it is, and nothing fails', async () => {
  const head = `Subject: Re: a\r\n${'X: a\r\n'.repeat(30_000)}\r\n`;
  const { notes } = await tellMail(Buffer.concat([Buffer.from(head), Buffer.alloc(41_000_000, 'a')]), HERE);
  expect(notes).toEqual(['It has 41 MB: only its head was read, and the message kept as it came.']);
});
