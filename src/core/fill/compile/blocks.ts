import type { Block, ListChild, Row, TableCell } from '../../document/templateDocument';
import { nextPart, type Scope } from '../paths/scope';
import { placeId, type Emit } from '../run';
import type { BlockLook } from '../write/writer';
import { listIn, listRuns } from './listRuns';
import { compileSection, compileWhen, enterPassage, sequence } from './structure';
import { compileWords } from './words';

/** Compiles blocks one after another; lists that passages go on with are one list. */
export function compileBlocks(blocks: readonly Block[], scope: Scope): Emit {
  return sequence(
    listRuns(blocks, scope).map((run) =>
      run.length === 1 ? compileBlock(run[0]!, scope) : compileListRun(run, scope),
    ),
  );
}

/** A list whose items stand in passages, too. */
function compileListRun(run: readonly Block[], scope: Scope): Emit {
  const lists = run.map((block) => listIn(block, scope)!);
  const part = nextPart(scope);
  const items = run.map((block, i): Emit => {
    const entered = block.type === 'passage' ? enterPassage(block, scope) : undefined;
    return compileItems(lists[i]!.content, entered?.scope ?? scope);
  });
  const { type, attrs } = lists[0]!;
  const tight = lists.every((list) => list.attrs?.tight);
  return enclosed(part, lookOf(type, { ...attrs, tight }), sequence(items));
}

/** What a block of a template and of a letter have in common. All looks have one shape, which the writers read faster. */
function lookOf(type: BlockLook['type'], attrs?: BlockLook['attrs']): BlockLook {
  return { type, attrs } as BlockLook;
}

/** A block around what stands in it. */
function enclosed(part: string, block: BlockLook, inner: Emit): Emit {
  return (run) => {
    const { page } = run;
    page.beginBlock(page.keepsPlaces ? placeId(part, run) : part, block);
    inner(run);
    page.endBlock(block);
  };
}

function compileBlock(block: Block, scope: Scope): Emit {
  const part = nextPart(scope);
  switch (block.type) {
    case 'paragraph':
    case 'heading':
    case 'codeBlock':
      return enclosed(part, lookOf(block.type, block.attrs), compileWords(block.content, scope));
    case 'rule':
      return (run) => run.page.rule(placeId(part, run));
    case 'quote':
    case 'styled':
      return enclosed(part, lookOf(block.type, block.attrs), compileBlocks(block.content, scope));
    case 'bulletList':
    case 'orderedList':
      return enclosed(part, lookOf(block.type, block.attrs), compileItems(block.content, scope));
    case 'table':
      return enclosed(part, lookOf(block.type, block.attrs), compileRows(block.content, scope));
    case 'section':
      return compileSection(block, scope, compileBlocks);
    case 'when':
      return compileWhen(block, scope, compileBlocks);
    case 'passage': {
      const entered = enterPassage(block, scope);
      return entered ? compileBlocks(entered.used.passage.document.content, entered.scope) : () => {};
    }
    case 'comment':
      return () => {};
  }
}

function compileItems(children: readonly ListChild[], scope: Scope): Emit {
  return sequence(
    children.map((child): Emit => {
      if (child.type === 'section') return compileSection(child, scope, compileItems);
      if (child.type === 'when') return compileWhen(child, scope, compileItems);
      if (child.type === 'comment') return () => {};
      return enclosed(nextPart(scope), lookOf('listItem'), compileBlocks(child.content, scope));
    }),
  );
}

function compileRows(rows: readonly Row[], scope: Scope): Emit {
  return sequence(
    rows.map((row): Emit => {
      if (row.type === 'section') return compileSection(row, scope, compileRows);
      if (row.type === 'when') return compileWhen(row, scope, compileRows);
      if (row.type === 'comment') return () => {};
      return enclosed(nextPart(scope), lookOf('tableRow', row.attrs), compileCells(row.content, scope));
    }),
  );
}

function compileCells(cells: readonly TableCell[], scope: Scope): Emit {
  return sequence(
    cells.map(({ content }) => enclosed('', lookOf('tableCell'), compileWords(content, scope))),
  );
}
