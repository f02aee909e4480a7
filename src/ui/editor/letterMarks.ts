import { LETTER } from '../../core/document/kinds';
import { marksOf } from './schemaExtensions';
import { linkClass, pastedLink, WORD_LOOKS } from './wordLooks';

/** How the marks of a letter look on the page, what they are pasted from, and their keys. */
export const LETTER_MARKS = marksOf(LETTER, {
  signature: {
    parseHTML: () => [{ tag: 'span[data-signature]' }],
    renderHTML: () => ['span', { 'data-signature': '' }, 0],
  },
  value: {
    // What is typed behind a value is not part of it.
    inclusive: false,
    addAttributes: () => ({
      id: {
        default: '',
        parseHTML: (element) => element.getAttribute('data-id'),
        renderHTML: ({ id }) => ({ 'data-id': id as string }),
      },
      said: {
        default: '',
        parseHTML: (element) => element.getAttribute('data-said'),
        renderHTML: ({ said }) => ({ 'data-said': said as string }),
      },
    }),
    parseHTML: () => [{ tag: 'span[data-said]' }],
    renderHTML: ({ HTMLAttributes }) => ['span', { ...HTMLAttributes, class: 'value' }, 0],
  },
  link: {
    inclusive: false,
    parseHTML: () => pastedLink((address) => address),
    renderHTML: ({ mark }) => [
      'span',
      {
        class: linkClass(mark.attrs),
        title: mark.attrs.address,
      },
      0,
    ],
  },
  ...WORD_LOOKS,
});
