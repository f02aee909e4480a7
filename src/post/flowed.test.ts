import fc from 'fast-check';
import { expect, it } from 'vitest';
import { flowed } from './flowed';

/** Reads format=flowed as RFC 3676, 4.5 says, written apart from the writer; the signature is split off. */
function unflowed(text: string): { lines: { depth: number; words: string }[]; signature: string[] } {
  const lines: { depth: number; words: string; flows: boolean }[] = [];
  const raw = text.split('\n');
  const sign = raw.indexOf('-- ');
  for (const line of sign < 0 ? raw : raw.slice(0, sign)) {
    const depth = /^>*/.exec(line)![0].length;
    const words = line.slice(depth).replace(/^ /, '');
    const flows = words.endsWith(' ');
    const last = lines.at(-1);
    if (last?.flows && last.depth === depth) Object.assign(last, { words: last.words + words, flows });
    else lines.push({ depth, words, flows });
  }
  return {
    lines: lines.map(({ depth, words }) => ({ depth, words })),
    signature: sign < 0 ? [] : raw.slice(sign + 1),
  };
}

it('breaks long lines after a space and leaves short ones', () => {
  const long =
    'a word and another one, which goes on until the line is longer than any line may be in a mail.';
  expect(flowed(`Hello Oda,\n\n${long}\n`)).toBe(
    'Hello Oda,\n\na word and another one, which goes on until the line is longer than any \nline may be in a mail.\n',
  );
});

it('keeps a word that is longer than a line whole', () => {
  const address = `https://larkfield.example/${'a'.repeat(120)}`;
  expect(flowed(`See ${address} for it.\n`)).toBe(`See \n${address} \nfor it.\n`);
});

it('repeats the marks of a quotation on each part', () => {
  const quoted = `> > ${'quoted words '.repeat(9)}`;
  for (const line of flowed(quoted).split('\n')) expect(line).toMatch(/^>> (?:quoted|words) /);
  expect(flowed('> a\n>\n> b\n')).toBe('> a\n>\n> b\n');
});

it('stuffs what would be taken for something else', () => {
  expect(flowed('From here on\n  two spaces\n')).toBe(' From here on\n   two spaces\n');
});

it('has the signature behind its line, and no other line like it', () => {
  const text = 'Hello,\n\n--\n\nImke Sandoval\nPiano technician\n';
  expect(flowed(text, text.indexOf('Imke'))).toBe('Hello,\n\n--\n\n-- \nImke Sandoval\nPiano technician\n');
  expect(flowed(`-- ${'x'.repeat(100)} y`)).toBe(`-- ${'x'.repeat(100)} \ny`);
});

it('a reader puts together what was written, whatever it is', () => {
  const line = fc
    .array(fc.constantFrom('a', 'word', '--', '>', 'From', '', ' ', 'ü', 'x'.repeat(90), '📯'), {
      maxLength: 40,
    })
    .map((words) => words.join(' ').trimEnd());
  fc.assert(
    fc.property(
      fc.array(line, { maxLength: 6 }),
      fc.array(fc.constantFrom('Imke', '+44 1632'), { maxLength: 2 }),
      (body, sign) => {
        const head = body.join('\n') + '\n';
        const text = sign.length ? head + sign.join('\n') : head;
        const written = flowed(text, sign.length ? head.length : undefined);
        const read = unflowed(written);
        const quoted = (one: string) => /^>(?: ?>)*/.exec(one)?.[0] ?? '';
        expect(
          read.lines
            .map(({ words }) => words)
            .join('\n')
            .trim(),
        ).toBe(
          body
            .map((one) => one.slice(quoted(one).length).replace(quoted(one) ? /^ / : '', ''))
            .join('\n')
            .trim(),
        );
        expect(read.signature.join('\n')).toBe(sign.length ? sign.join('\n') : '');
        for (const one of written.split('\n'))
          if (one.length > 78) expect(one.trim().split(' ').at(-1)!.length).toBeGreaterThan(70);
      },
    ),
    { numRuns: 2000 },
  );
});
