import type { Atom, PassageUse } from '../../core/document/templateDocument';
import { labelOf, type Labels } from '../../core/fill/describe/labels';
import type { Passage } from '../../core/template/template';

/** What a template in pencil is drawn with. */
export interface Pencil {
  /** tags in words, by their text form */
  labels: Readonly<Labels>;
  /** by what the template refers to them by */
  passages: ReadonlyMap<string, Passage>;
}

/** How a tag stands in a line in pencil. */
interface TagLook {
  className: string;
  words: string;
  title?: string;
}

/** A tag as it will look: a button, a link, a picture; any other by what it is called. */
export function tagLook(node: Atom | PassageUse, { labels, passages }: Pencil): TagLook {
  switch (node.type) {
    case 'signature':
      return { className: 'letter-signature', words: 'Signature of whoever writes' };
    case 'gap':
      return { className: 'field field-open', words: node.attrs.words };
    case 'unfinished':
      return { className: 'field-open', words: node.attrs.words };
    case 'passage':
      return { className: 'field', words: passages.get(node.attrs.passage)?.name ?? node.attrs.passage };
    case 'blank':
      return { className: 'field blank', words: labelOf(node, labels) };
    case 'field': {
      const words = labelOf(node, labels);
      const look = node.attrs.steps.find(({ step }) => step !== 'or');
      if (look?.step === 'button') return { className: 'letter-button', words: look.words, title: words };
      if (look?.step === 'as' && look.words.length === 1)
        return { className: 'letter-link', words: look.words[0], title: words };
      return { className: look?.step === 'width' ? 'letter-image' : 'field', words };
    }
  }
}
