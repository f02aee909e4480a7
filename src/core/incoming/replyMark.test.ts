import fc from 'fast-check';
import { expect, it } from 'vitest';
import { readReplyMark, withReplyMark } from './replyMark';

it('an address bears the mark of a letter, and gives it back, whatever its case', () => {
  fc.assert(
    fc.property(fc.uuid(), fc.boolean(), (letter, isUpper) => {
      const marked = withReplyMark('imke@larkfield.example', letter);
      expect(marked).toMatch(/^imke\+r[a-z2-7]{26}@larkfield\.example$/);
      const read = readReplyMark(isUpper ? marked.toUpperCase() : marked);
      expect(read?.letter).toBe(letter);
      expect(read?.address.toLowerCase()).toBe('imke@larkfield.example');
    }),
  );
});

it.each([
  'imke@larkfield.example',
  'imke+box@larkfield.example',
  'imke+raprqwr4wtxjmmzypt5divtytk@larkfield.example',
  // More than a UUID says.
  'imke+r77777777777777777777777777@larkfield.example',
  '+raprqwr4wtxjmmzypt5divtytk6@larkfield.example',
  '',
])('%j bears none', (address) => expect(readReplyMark(address)).toBeUndefined());
