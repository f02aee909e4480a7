import type { MarkConfig } from '@tiptap/core';
import type { TagParseRule } from '@tiptap/pm/model';
import { safeAddress } from '../../core/document/safeAddress';
import type { MarkLooks } from './schemaExtensions';

const simple = (name: string, tags: string[], key: string): Partial<MarkConfig> => ({
  parseHTML: () => tags.map((tag) => ({ tag })),
  renderHTML: () => [tags[0]!, 0],
  addKeyboardShortcuts() {
    return { [`Mod-${key}`]: ({ editor }) => editor.commands.toggleMark(name) };
  },
});

/** How the marks of every page look, in a template and in a letter: what they are pasted from, and their keys. */
export const WORD_LOOKS: MarkLooks = {
  style: {
    renderHTML: ({ mark }) => ['span', { class: `style-${mark.attrs.style}` }, 0],
    parseHTML: () => [{ tag: 'u', attrs: { style: 'underline' } }],
    addKeyboardShortcuts() {
      return { 'Mod-u': ({ editor }) => editor.commands.toggleMark('style', { style: 'underline' }) };
    },
  },
  italic: simple('italic', ['em', 'i'], 'i'),
  bold: simple('bold', ['strong', 'b'], 'b'),
  code: simple('code', ['code'], 'e'),
};

/** A link that is pasted, where it may be followed; its address as the page has it. */
export function pastedLink(asPageHas: (address: string) => unknown): TagParseRule[] {
  return [
    {
      tag: 'a[href]',
      getAttrs: (element) => {
        const address = safeAddress(element.getAttribute('href') ?? '');
        return address ? { address: asPageHas(address) } : false;
      },
    },
  ];
}

/** A link, or a button, with its looks. */
export function linkClass({ button, styles }: Record<string, unknown>): string {
  const looks = (styles as string[]).map((style) => `style-${style}`);
  return ['letter-link', ...(button ? ['letter-button'] : []), ...looks].join(' ');
}
