import type { Block, BulletList, OrderedList, PassageUse } from '../../document/templateDocument';
import type { Scope } from '../paths/scope';

type List = BulletList | OrderedList;

/**
 * Blocks that are one list when they are filled: lists of the writer's own with passages between them that are nothing
 * but lists of the same kind. Everything else is a run of its own.
 */
export function listRuns(blocks: readonly Block[], scope: Scope): Block[][] {
  const runs: Block[][] = [];
  let last: List | undefined;
  let byPassage = false;
  for (const block of blocks) {
    const list = listIn(block, scope);
    const passage = block.type === 'passage';
    if (list && last && list.type === last.type && (passage || byPassage)) runs.at(-1)!.push(block);
    else runs.push([block]);
    last = list;
    byPassage = passage;
  }
  return runs;
}

/** The list that a block is, or that a passage is nothing but. */
export function listIn(block: Block, { passages, inside }: Scope): List | undefined {
  if (block.type === 'bulletList' || block.type === 'orderedList') return block;
  return block.type === 'passage' && !inside.includes(block.attrs.passage)
    ? onlyList(block, passages)
    : undefined;
}

function onlyList({ attrs }: PassageUse, passages: Scope['passages']): List | undefined {
  const [list, other] = (passages.get(attrs.passage)?.passage.document.content ?? []).filter(
    (block) => block.type !== 'comment',
  );
  return !other && (list?.type === 'bulletList' || list?.type === 'orderedList') ? list : undefined;
}
