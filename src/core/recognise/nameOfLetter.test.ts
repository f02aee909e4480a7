import { expect, it } from 'vitest';
import type { Find } from './find';
import type { LetterText } from './letterText';
import { nameOfLetter } from './nameOfLetter';

/** A letter whose facts stand in angle brackets, each with its path. */
function letterOf(marked: string): [LetterText, Find[]] {
  const finds: Find[] = [];
  let text = '';
  for (const part of marked.split(/(<[^>]*>)/)) {
    const [, path, words] = /^<([\w.]+) ([^>]*)>$/.exec(part) ?? [];
    if (path !== undefined && words !== undefined) {
      const place = { start: text.length, end: text.length + words.length, words };
      finds.push({
        ...place,
        path,
        steps: [],
        says: words,
        label: `Visit, ${path}`,
        certainty: 1,
        others: [],
      });
      text += words;
    } else text += part;
  }
  const subject = { type: 'subject' } as unknown as LetterText['subject'];
  return [{ text, subject, begins: new Map([[subject, 0]]) } as unknown as LetterText, finds];
}

it.each([
  ['<booking.service Tuning visit> <booking.starts_at tomorrow>', 'Visit'],
  ['Your <booking.service voicing> on <booking.starts_at 3 May> at <booking.starts_at 09:00>', 'Your visit'],
  ['Invoice <invoice.number K-1> is still open', 'Invoice is still open'],
  ['Invoice <invoice.number K-1>, <invoice.balance £40.00>', 'Invoice'],
  ['<invoice.number K-1>: a second word', 'A second word'],
  ['Where your account stands on the <date 25 November>', 'Where your account stands'],
  ['Between <a 9> and <b 10>, if that suits', 'If that suits'],
  ['Ihr Termin am <booking.starts_at 3. Mai> um <booking.starts_at 9 Uhr>', 'Ihr Termin'],
  ['Votre visite du <booking.starts_at 3 mai>', 'Votre visite'],
  ['A word for <client.name Sela Thorne>', 'A word'],
  ['<client.name Sela Thorne>\nDear <client.name Sela>\nhere is what we said\n', 'here is what we said'],
  ['<client.name Sela Thorne>', 'From a letter'],
])('%s is called “%s”', (marked, name) => expect(nameOfLetter(...letterOf(marked))).toBe(name));

it('it is cut between words, and its own words alone are read', () => {
  const long = `Everything ${'that we spoke of '.repeat(9)}`;
  expect(nameOfLetter(...letterOf(long))).toBe('Everything that we spoke of that we spoke of that');
});
