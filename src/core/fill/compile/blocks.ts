import type { Block, ListChild, Structured, Table, TableCell, TableRow } from '../../template/document';
import { nextPart, type Scope } from '../paths/scope';
import { placeId, type Piece } from '../run';
import { compileSection, compileWhen, enterPassage, sequence } from './structure';
import { compileWords } from './words';

export function compileBlocks(blocks: readonly Block[], scope: Scope): Piece {
  return sequence(blocks.map((block) => compileBlock(block, scope)));
}

function compileBlock(block: Block, scope: Scope): Piece {
  const part = nextPart(scope);
  switch (block.type) {
    case 'paragraph': {
      const words = compileWords(block.content, scope);
      return (run) => run.page.paragraph(placeId(part, run), () => words(run));
    }
    case 'heading': {
      const words = compileWords(block.content, scope);
      return (run) => run.page.heading(placeId(part, run), block.level, () => words(run));
    }
    case 'rule':
      return (run) => run.page.rule(placeId(part, run));
    case 'quote': {
      const inner = compileBlocks(block.content, scope);
      return (run) => run.page.quote(placeId(part, run), () => inner(run));
    }
    case 'bulletList':
    case 'orderedList': {
      const ordered = block.type === 'orderedList';
      const look = { ordered, start: ordered ? block.start : 1, tight: block.tight };
      const items = compileItems(block.content, scope);
      return (run) => run.page.list(placeId(part, run), look, () => items(run));
    }
    case 'table':
      return compileTable(block, scope, part);
    case 'code': {
      const words = compileWords(block.content, scope);
      return (run) => run.page.code(placeId(part, run), () => words(run));
    }
    case 'styled': {
      const inner = compileBlocks(block.content, scope);
      return (run) => run.page.styled(placeId(part, run), block.styles, () => inner(run));
    }
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

function compileItems(children: readonly ListChild[], scope: Scope): Piece {
  return sequence(
    children.map((child): Piece => {
      if (child.type === 'section') return compileSection(child, scope, compileItems);
      if (child.type === 'when') return compileWhen(child, scope, compileItems);
      if (child.type === 'comment') return () => {};
      const part = nextPart(scope);
      const inner = compileBlocks(child.content, scope);
      return (run) => run.page.item(placeId(part, run), () => inner(run));
    }),
  );
}

function compileTable({ align, header, content }: Table, scope: Scope, part: string): Piece {
  const headPart = nextPart(scope);
  const head = compileCells(header, scope);
  const rows = compileRows(content, scope);
  return (run) =>
    run.page.table(placeId(part, run), align, () => {
      run.page.row(placeId(headPart, run), true, () => head(run));
      rows(run);
    });
}

function compileRows(rows: readonly Structured<TableRow>[], scope: Scope): Piece {
  return sequence(
    rows.map((row): Piece => {
      if (row.type === 'section') return compileSection(row, scope, compileRows);
      if (row.type === 'when') return compileWhen(row, scope, compileRows);
      if (row.type === 'comment') return () => {};
      const part = nextPart(scope);
      const cells = compileCells(row.content, scope);
      return (run) => run.page.row(placeId(part, run), false, () => cells(run));
    }),
  );
}

function compileCells(cells: readonly TableCell[], scope: Scope): Piece {
  return sequence(
    cells.map(({ content }): Piece => {
      const words = compileWords(content, scope);
      return (run) => run.page.cell(() => words(run));
    }),
  );
}
