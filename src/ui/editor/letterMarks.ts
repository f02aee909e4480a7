import { Mark, type Attributes } from '@tiptap/core';
import { safeAddress } from '../../core/fill/write/escape';

const hidden = (fallback: unknown = null): Attributes[string] => ({ default: fallback, rendered: false });

const simple = (name: string, tags: string[], key: string) =>
  Mark.create({
    name,
    parseHTML: () => tags.map((tag) => ({ tag })),
    renderHTML: () => [tags[0]!, 0],
    addKeyboardShortcuts() {
      return { [`Mod-${key}`]: ({ editor }) => editor.commands.toggleMark(name) };
    },
  });

/** The marks of a fair copy, in the order of core/fairCopy/copyDocument. */
export const LETTER_MARKS = [
  Mark.create({
    name: 'signature',
    priority: 1001,
    parseHTML: () => [{ tag: 'span[data-signature]' }],
    renderHTML: () => ['span', { 'data-signature': '' }, 0],
  }),
  Mark.create({
    name: 'value',
    // What is typed behind a value is not part of it.
    inclusive: false,
    priority: 1000,
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
  }),
  Mark.create({
    name: 'link',
    inclusive: false,
    addAttributes: () => ({ address: hidden(''), button: hidden(false), styles: hidden([]) }),
    parseHTML: () => [
      {
        tag: 'a[href]',
        getAttrs: (element) => {
          const address = safeAddress(element.getAttribute('href') ?? '');
          return address ? { address } : false;
        },
      },
    ],
    renderHTML: ({ mark }) => [
      'span',
      {
        class: `letter-link ${mark.attrs.button ? 'letter-button' : ''} ${looks(mark.attrs.styles)}`,
        title: mark.attrs.address,
      },
      0,
    ],
  }),
  Mark.create({
    name: 'style',
    excludes: '',
    addAttributes: () => ({ style: hidden('') }),
    renderHTML: ({ mark }) => ['span', { class: looks([mark.attrs.style]) }, 0],
  }),
  simple('italic', ['em', 'i'], 'i'),
  simple('bold', ['strong', 'b'], 'b'),
  simple('code', ['code'], 'e'),
];

function looks(styles: unknown): string {
  return (styles as string[]).map((style) => `style-${style}`).join(' ');
}
