import { Fragment, type ReactNode } from 'react';
import type {
  Block,
  Inline,
  ListChild,
  Row,
  Section,
  Table,
  TableRow,
  When,
} from '../../core/document/templateDocument';
import { longestRun, markKey, withoutMark } from '../../core/document/marks';
import { labelOf } from '../../core/fill/describe/labels';
import { openingOf, printLine } from '../../core/template/text/printLine';
import { LetterImage } from './LetterImage';
import { drawBlock, drawMark } from './looks';
import { tagLook, type Pencil } from './tagLook';

export function PencilBlocks({ blocks, pencil }: { blocks: readonly Block[]; pencil: Pencil }): ReactNode {
  return blocks.map((block, i) => <Fragment key={i}>{drawPart(block, pencil)}</Fragment>);
}

export function PencilWords({ words, pencil }: { words: readonly Inline[]; pencil: Pencil }): ReactNode {
  const drawn: ReactNode[] = [];
  for (let at = 0; at < words.length;) {
    const { mark, length } = longestRun(words, at);
    if (!mark) {
      drawn.push(<Fragment key={at}>{drawWord(words[at]!, pencil)}</Fragment>);
      at++;
      continue;
    }
    const run = words.slice(at, at + length).map((node) => withoutMark(node, markKey(mark)));
    drawn.push(<Fragment key={at}>{drawMark(mark, <PencilWords words={run} pencil={pencil} />)}</Fragment>);
    at += length;
  }
  return drawn;
}

function drawPart(block: Block, pencil: Pencil): ReactNode {
  const blocks = (content: readonly Block[]) => <PencilBlocks blocks={content} pencil={pencil} />;
  switch (block.type) {
    case 'paragraph':
    case 'heading':
    case 'codeBlock':
      return drawBlock(block, <PencilWords words={block.content} pencil={pencil} />);
    case 'rule':
      return drawBlock(block, null);
    case 'quote':
    case 'styled':
      return drawBlock(block, blocks(block.content));
    case 'bulletList':
    case 'orderedList':
      return drawBlock(block, drawItems(block.content, pencil));
    case 'table':
      return <PencilTable table={block} pencil={pencil} />;
    case 'section':
      return (
        <Structure label={openingOf(block, (tag) => labelOf(tag, pencil.labels))}>
          {blocks(block.content)}
        </Structure>
      );
    case 'when': {
      const [then, otherwise] = block.content;
      return (
        <>
          <Structure label={openingOf(block, (tag) => labelOf(tag, pencil.labels))}>
            {blocks(then.content)}
          </Structure>
          {otherwise && <Structure label="Otherwise">{blocks(otherwise.content)}</Structure>}
        </>
      );
    }
    case 'passage': {
      const passage = pencil.passages.get(block.attrs.passage);
      return (
        <div className="passage">
          <span className="passage-name">{passage?.name ?? block.attrs.passage} · passage</span>
          {passage && blocks(passage.document.content)}
        </div>
      );
    }
    case 'comment':
      return null;
  }
}

/** Text that repeats or hides, with a rule beside it and what it depends on above. */
function Structure({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="structure">
      <span className="structure-label">{label}</span>
      {children}
    </div>
  );
}

function drawItems(children: readonly ListChild[], pencil: Pencil): ReactNode {
  return children.map((child, i) => {
    if (child.type === 'comment') return null;
    if (child.type === 'listItem') {
      return (
        <Fragment key={i}>
          {drawBlock(child, <PencilBlocks blocks={child.content} pencil={pencil} />)}
        </Fragment>
      );
    }
    const [then, otherwise] = branchesOf(child);
    return (
      <li key={i} className="structure">
        <span className="structure-label">{openingOf(child, (tag) => labelOf(tag, pencil.labels))}</span>
        <ul>{drawItems(then, pencil)}</ul>
        {otherwise && (
          <>
            <span className="structure-label">Otherwise</span>
            <ul>{drawItems(otherwise, pencil)}</ul>
          </>
        )}
      </li>
    );
  });
}

/** What stands in a structure, and what stands there otherwise. */
function branchesOf<Child>(structure: Section<Child> | When<Child>): [Child[], Child[]?] {
  if (structure.type === 'section') return [structure.content];
  const [then, otherwise] = structure.content;
  return otherwise ? [then.content, otherwise.content] : [then.content];
}

function PencilTable({ table, pencil }: { table: Table; pencil: Pencil }) {
  const { align } = table.attrs;
  const [head, ...body] = table.content;
  const cells = (row: TableRow) =>
    row.content.map((cell, column) => {
      const Cell = row.attrs?.header ? 'th' : 'td';
      const side = align[column] ? `column-${align[column]}` : undefined;
      return (
        <Cell key={column} {...(row.attrs?.header ? { scope: 'col' } : {})} className={side}>
          <PencilWords words={cell.content} pencil={pencil} />
        </Cell>
      );
    });
  const rows = (children: readonly Row[]): ReactNode =>
    children.map((child, i) => {
      if (child.type === 'comment') return null;
      if (child.type === 'tableRow') return <tr key={i}>{cells(child)}</tr>;
      return (
        <Fragment key={i}>
          <tr className="structure-row">
            <td colSpan={align.length}>
              <span className="structure-label">
                {openingOf(child, (tag) => labelOf(tag, pencil.labels))}
              </span>
            </td>
          </tr>
          {branchesOf(child).map((branch, at) => (
            <Fragment key={at}>{rows(branch ?? [])}</Fragment>
          ))}
        </Fragment>
      );
    });
  return (
    <table>
      <thead>{rows(head ? [head] : [])}</thead>
      <tbody>{rows(body)}</tbody>
    </table>
  );
}

function drawWord(node: Inline, pencil: Pencil): ReactNode {
  switch (node.type) {
    case 'text':
      return node.text;
    case 'break':
      return <br />;
    case 'image': {
      const { source, width } = node.attrs;
      const description = printLine(node.attrs.description);
      return (
        <LetterImage
          source={printLine(source)}
          description={description && `Picture: ${description}`}
          width={width}
        />
      );
    }
    case 'section':
    case 'when': {
      const label = openingOf(node, (tag) => labelOf(tag, pencil.labels));
      const [then, otherwise] = branchesOf(node);
      return (
        <span className="structure-inline" title={node.type === 'section' ? label : undefined}>
          <span className="structure-label">{label}: </span>
          <PencilWords words={then} pencil={pencil} />
          {otherwise && (
            <>
              <span className="structure-label"> otherwise: </span>
              <PencilWords words={otherwise} pencil={pencil} />
            </>
          )}
        </span>
      );
    }
    case 'comment':
      return null;
    default: {
      const { className, words, title } = tagLook(node, pencil);
      return (
        <span className={className} title={title}>
          {words}
        </span>
      );
    }
  }
}
