import type { Block, BulletList, ListChild, OrderedList, Section, When } from '../document';

type List = BulletList | OrderedList;

/**
 * Sections around list items become part of the list: a section or condition that holds nothing but one list is
 * turned inside out, and lists with the same marker that stand side by side because of it become one.
 * @param markers the marker each list was written with
 */
export function gatherLists(blocks: readonly Block[], markers: WeakMap<object, string>): Block[] {
  const gathered: Block[] = [];
  for (const block of blocks.map((one) => turnInsideOut(one, markers))) {
    const last = gathered.at(-1);
    if (last && isList(last) && isList(block) && fits(last, block, markers)) {
      last.content.push(...block.content);
      last.tight &&= block.tight;
    } else gathered.push(block);
  }
  return gathered;
}

function turnInsideOut(block: Block, markers: WeakMap<object, string>): Block {
  if (block.type === 'section') {
    const list = onlyList(block.content);
    if (!list) return block;
    const inner: Section<ListChild> = { ...block, content: list.content };
    return wrap(list, inner, markers);
  }
  if (block.type === 'when') {
    const list = onlyList(block.content);
    const other = block.otherwise && onlyList(block.otherwise);
    if (!list || (block.otherwise && !(other && fits(list, other, markers)))) return block;
    const inner: When<ListChild> = { ...block, content: list.content, otherwise: other?.content };
    if (!other) delete inner.otherwise;
    return wrap(list, inner, markers);
  }
  return block;
}

function wrap(list: List, child: ListChild, markers: WeakMap<object, string>): List {
  const outer: List = { ...list, content: [child] };
  const marker = markers.get(list);
  if (marker) markers.set(outer, marker);
  return outer;
}

function onlyList(blocks: readonly Block[]): List | undefined {
  const [list] = blocks;
  return blocks.length === 1 && list && isList(list) ? list : undefined;
}

function fits(a: List, b: List, markers: WeakMap<object, string>): boolean {
  return a.type === b.type && markers.get(a) === markers.get(b);
}

function isList(block: Block): block is List {
  return block.type === 'bulletList' || block.type === 'orderedList';
}
