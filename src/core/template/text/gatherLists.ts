import type {
  Block,
  Branch,
  BulletList,
  Comment,
  ListChild,
  OrderedList,
  Section,
  When,
} from '../../document/templateDocument';

type List = BulletList | OrderedList;

/**
 * Sections and comments around list items become part of the list: a section or condition that holds nothing but one
 * list is turned inside out, at any depth, and lists with the same marker that stand side by side because of it, or
 * with comments between them, become one.
 * @param markers the marker each list was written with
 */
export function gatherLists(blocks: readonly Block[], markers: WeakMap<object, string>): Block[] {
  const gathered: Block[] = [];
  /** comments that stand behind a list and may yet be amid it */
  let comments: Comment[] = [];
  for (const block of blocks.map((one) => turnInsideOut(one, markers))) {
    const last = gathered.at(-1);
    if (block.type === 'comment' && last && isList(last)) comments.push(block);
    else if (last && isList(last) && isList(block) && fits(last, block, markers)) {
      last.content.push(...comments, ...block.content);
      if (!block.attrs?.tight) loosen(last);
      comments = [];
    } else {
      gathered.push(...comments, block);
      comments = [];
    }
  }
  gathered.push(...comments);
  return gathered;
}

function turnInsideOut(block: Block, markers: WeakMap<object, string>): Block {
  switch (block.type) {
    case 'styled':
      block.content = gatherLists(block.content, markers);
      return block;
    case 'section': {
      block.content = gatherLists(block.content, markers);
      const list = onlyList(block.content);
      if (!list) return block;
      return wrap(list, changed<Section<ListChild>>(block, { content: childrenOf(block.content) }), markers);
    }
    case 'when': {
      const branches = block.content.flatMap((branch) => branch ?? []);
      for (const branch of branches) branch.content = gatherLists(branch.content, markers);
      const [list, ...others] = branches.map(({ content }) => onlyList(content));
      if (!list || !others.every((other) => other && fits(list, other, markers))) return block;
      const content = branches.map(
        (branch) => ({ ...branch, content: childrenOf(branch.content) }) as Branch<ListChild>,
      );
      return wrap(
        list,
        changed<When<ListChild>>(block, { content: content as When<ListChild>['content'] }),
        markers,
      );
    }
    default:
      return block;
  }
}

/** The same node, whose place is known, with its children as items instead of blocks. */
function changed<T extends object>(node: object, children: Partial<T>): T {
  return Object.assign(node, children) as T;
}

function wrap(list: List, child: ListChild, markers: WeakMap<object, string>): List {
  const outer: List = { ...list, content: [child] };
  const marker = markers.get(list);
  if (marker) markers.set(outer, marker);
  return outer;
}

/** The list among blocks that are nothing else but comments. */
function onlyList(blocks: readonly Block[]): List | undefined {
  const [list, other] = blocks.filter((block) => block.type !== 'comment');
  return !other && list && isList(list) ? list : undefined;
}

/** A list's items, with the comments around the list among them. */
function childrenOf(blocks: readonly Block[]): ListChild[] {
  return blocks.flatMap((block) => (isList(block) ? block.content : [block as Comment]));
}

function loosen(list: List): void {
  const { tight: _, ...attrs } = list.attrs ?? {};
  if (Object.keys(attrs).length) list.attrs = attrs;
  else delete list.attrs;
}

function fits(a: List, b: List, markers: WeakMap<object, string>): boolean {
  return a.type === b.type && markers.get(a) === markers.get(b);
}

function isList(block: Block): block is List {
  return block.type === 'bulletList' || block.type === 'orderedList';
}
