import { LETTER } from '../../core/document/kinds';
import { pictureAddress } from '../document/pictureAddress';
import { BLOCK_LOOKS, SUBJECT } from './blockLooks';
import { nodesOf, type NodeLooks } from './schemaExtensions';

/** How the nodes of a letter look on the page, what they are pasted from, and their keys. */
const LOOKS: NodeLooks = {
  // What was chosen is part of the document, so that undoing goes back to it, too.
  doc: { addAttributes: () => ({ choices: { default: null, rendered: false } }) },
  subject: SUBJECT,
  ...BLOCK_LOOKS,
  image: {
    // A picture from elsewhere is not fetched.
    renderHTML: ({ node }) => {
      const { source, description, width } = node.attrs;
      const src = pictureAddress(source as string);
      return src
        ? ['img', { class: 'letter-picture', src, alt: description, ...(width ? { width } : {}) }]
        : ['span', { class: 'letter-image' }, description || 'Picture'];
    },
  },
};

/** The nodes of a letter; what is missing in it is a node with a view of its own (./hole). */
export const LETTER_NODES = nodesOf(LETTER, LOOKS).filter(({ name }) => name !== 'hole');
