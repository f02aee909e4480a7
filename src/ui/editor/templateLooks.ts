import type { NodeConfig } from '@tiptap/core';
import type { Node as PageNode } from '@tiptap/pm/model';
import type { Atom, Line, PassageUse } from '../../core/document/templateDocument';
import { printLine } from '../../core/template/text/printLine';
import { printTag } from '../../core/template/tags/printTag';
import { readWholeTag } from '../../core/template/tags/readWholeTag';
import { pictureAddress } from '../document/pictureAddress';
import { tagLook, type Pencil } from '../document/tagLook';

/** What a template's page is drawn with; the words of its tags are found anew while it is written. */
export type PagePencil = { current: Pencil };

/** A tag of a line as the document has it: without what an editor has at its beginning. */
export function tagOf(node: PageNode): Atom | PassageUse {
  const type = node.type.name === 'wordPassage' ? 'passage' : node.type.name;
  const attrs = Object.fromEntries(Object.entries(node.attrs).filter(([, value]) => value !== null));
  return { type, attrs } as Atom | PassageUse;
}

/** A tag in a line: one thing, drawn by what it is called, copied as its text form. */
export function tagNode(name: string, pencil: PagePencil): Partial<NodeConfig> {
  const type = name === 'wordPassage' ? 'passage' : name;
  return {
    draggable: true,
    parseHTML: () => [
      {
        tag: 'span[data-tag]',
        priority: 60,
        getAttrs: (element) => {
          const tag = readTagOf(element);
          return tag?.type === type ? ('attrs' in tag ? { ...tag.attrs } : {}) : false;
        },
      },
    ],
    renderHTML: ({ node }) => {
      const tag = tagOf(node);
      const { className, words, title } = tagLook(tag, pencil.current);
      return ['span', { class: className, 'data-tag': printTag(tag), ...(title ? { title } : {}) }, words];
    },
    renderText: ({ node }) => printTag(tagOf(node)),
  };
}

/** The tag that a piece of a page says it is; undefined where that cannot be read. */
export function readTagOf(element: HTMLElement) {
  return readWholeTag(element.dataset.tag ?? '');
}

/** A comment: for whoever writes templates. */
export const COMMENT: Partial<NodeConfig> = {
  renderHTML: ({ node }) => ['span', { class: 'page-comment' }, node.attrs.words as string],
};

/** A picture, whose address and description may hold fields. */
export const TEMPLATE_IMAGE: Partial<NodeConfig> = {
  draggable: true,
  parseHTML: () => [
    {
      tag: 'img[data-source]',
      getAttrs: (element) => {
        const { source = '', description = '' } = element.dataset;
        if (!pictureAddress(source)) return false;
        return {
          source: [{ type: 'text', text: source }],
          description: description ? [{ type: 'text', text: description }] : [],
          width: Number(element.getAttribute('width')) || null,
        };
      },
    },
  ],
  renderHTML: ({ node }) => {
    const [source, description] = [
      printLine(node.attrs.source as Line),
      printLine(node.attrs.description as Line),
    ];
    const src = pictureAddress(source);
    if (!src) return ['span', { class: 'letter-image' }, description || 'Picture'];
    const width = node.attrs.width as number | null;
    return [
      'img',
      {
        class: 'letter-picture',
        src,
        alt: description,
        'data-source': source,
        'data-description': description,
        ...(width ? { width } : {}),
      },
    ];
  },
};
