import type {
  Comment,
  PassageUse,
  Section,
  Structured,
  StyledBlock,
  When,
} from '../../document/templateDocument';
import type { Places, Problem } from '../../problems/problem';
import { printTag } from '../tags/printTag';
import { isStructure, type StructureTag } from '../tags/tag';

/** More open sections than this are refused: nothing that reads them further would come to an end. */
const DEEPEST_OPEN = 200;

/**
 * Builds sections and conditions from a run of siblings in which their opening and closing tags still stand.
 * A tag without its partner among the siblings is reported: a structure may not cross another.
 */
export function pairTags<Child extends { type: string }>(
  run: readonly (Child | StructureTag | Comment | PassageUse)[],
  places: Places,
  problems: Problem[],
): Structured<Child>[] {
  type Node = Structured<Child>;
  interface Open {
    tag: StructureTag;
    node: Section<Node> | When<Node> | StyledBlock;
    into: Node[];
  }
  const root: Node[] = [];
  const stack: Open[] = [];
  const into = () => stack.at(-1)?.into ?? root;
  const report = (tag: object, message: string) => {
    const place = places.get(tag);
    if (place) problems.push({ ...place, message });
  };
  const open = (tag: StructureTag, node: Open['node']) => {
    const place = places.get(tag);
    if (place) places.set(node, place);
    if (stack.length >= DEEPEST_OPEN) {
      if (stack.length === DEEPEST_OPEN)
        report(tag, `More than ${DEEPEST_OPEN} sections stand in one another.`);
    } else into().push(node as Node);
    stack.push({ tag, node, into: (node.type === 'when' ? node.content[0] : node).content as Node[] });
  };
  for (const child of run) {
    if (!isStructure(child)) {
      into().push(child as Node);
      continue;
    }
    const top = stack.at(-1);
    switch (child.type) {
      case 'open': {
        const { type: _, ...attrs } = child;
        open(child, { type: 'section', attrs, content: [] });
        break;
      }
      case 'open when':
        open(child, {
          type: 'when',
          attrs: { condition: child.condition },
          content: [{ type: 'branch', content: [] }],
        });
        break;
      case 'open block':
        // Fences stand among blocks only, where the children are blocks.
        open(child, { type: 'styled', attrs: { styles: child.styles }, content: [] });
        break;
      case 'otherwise':
        if (top?.node.type !== 'when') {
          report(child, '{{otherwise}} stands outside any {{#when …}} of its paragraph or block.');
        } else if (top.node.content[1]) {
          report(child, 'This {{#when …}} has an {{otherwise}} already.');
        } else top.node.content[1] = { type: 'branch', content: (top.into = []) };
        break;
      default: {
        const fits = (one: Open) => closes(child, one.node as Section<never>);
        const at = stack.findLastIndex(fits);
        if (at < 0) {
          report(child, `${printTag(child)} closes nothing that was opened in the same paragraph or block.`);
          break;
        }
        for (const unclosed of stack.splice(at).slice(1)) reportUnclosed(unclosed);
      }
    }
  }
  for (const unclosed of stack.slice(0, DEEPEST_OPEN)) reportUnclosed(unclosed);
  return root;

  function reportUnclosed({ tag, node }: Open) {
    const closing =
      node.type === 'when' ? '{{/when}}' : node.type === 'styled' ? ':::' : `{{/${node.attrs.path}}}`;
    report(tag, `${printTag(tag)} is never closed: ${closing} is expected in the same paragraph or block.`);
  }
}

function closes(tag: StructureTag, node: Section<never> | When<never> | StyledBlock): boolean {
  if (tag.type === 'close block') return node.type === 'styled';
  if (tag.type === 'close when') return node.type === 'when';
  return tag.type === 'close' && node.type === 'section' && node.attrs.path === tag.path;
}
