import { Fragment, type ReactNode } from 'react';
import type {
  Block,
  Field,
  Inline,
  ListChild,
  Mark,
  Structured,
  Style,
  Table,
  TableRow,
  TemplateDocument,
} from '../../core/template/document';
import { longestRun, markKey, withoutMark } from '../../core/template/marks';
import { printTag } from '../../core/template/tags/printTag';
import { printLine } from '../../core/template/text/printLine';
import { LetterImage } from './LetterImage';
import type { Step } from '../../core/template/tags/step';
import type { Tag } from '../../core/template/tags/tag';

/** What a template in pencil is drawn with. */
export interface Pencil {
  /** tags in words, by their text form */
  labels: Readonly<Record<string, string>>;
  passages: ReadonlyMap<string, TemplateDocument>;
}

export function PencilBlocks({ blocks, pencil }: { blocks: readonly Block[]; pencil: Pencil }): ReactNode {
  return blocks.map((block, i) => <Fragment key={i}>{drawBlock(block, pencil)}</Fragment>);
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

function drawBlock(block: Block, pencil: Pencil): ReactNode {
  const words = (content: readonly Inline[]) => <PencilWords words={content} pencil={pencil} />;
  const blocks = (content: readonly Block[]) => <PencilBlocks blocks={content} pencil={pencil} />;
  switch (block.type) {
    case 'paragraph':
      return <p>{words(block.content)}</p>;
    case 'heading':
      return <p className={`letter-heading letter-heading-${block.level}`}>{words(block.content)}</p>;
    case 'rule':
      return <hr />;
    case 'quote':
      return <blockquote>{blocks(block.content)}</blockquote>;
    case 'bulletList':
      return <ul>{drawItems(block.content, pencil)}</ul>;
    case 'orderedList':
      return <ol start={block.start}>{drawItems(block.content, pencil)}</ol>;
    case 'table':
      return <PencilTable table={block} pencil={pencil} />;
    case 'code':
      return <pre>{words(block.content)}</pre>;
    case 'styled':
      return <div className={styleClasses(block.styles)}>{blocks(block.content)}</div>;
    case 'section':
      return <Structure label={labelOf(openTag(block), pencil)}>{blocks(block.content)}</Structure>;
    case 'when':
      return (
        <>
          <Structure label={labelOf({ type: 'open when', condition: block.condition }, pencil)}>
            {blocks(block.content)}
          </Structure>
          {block.otherwise && <Structure label="Otherwise">{blocks(block.otherwise)}</Structure>}
        </>
      );
    case 'passage': {
      const passage = pencil.passages.get(block.name);
      return (
        <div className="passage">
          <span className="passage-name">{block.name} · passage</span>
          {passage && blocks(passage.content)}
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
        <li key={i}>
          <PencilBlocks blocks={child.content} pencil={pencil} />
        </li>
      );
    }
    const tag: Tag =
      child.type === 'section' ? openTag(child) : { type: 'open when', condition: child.condition };
    return (
      <li key={i} className="structure">
        <span className="structure-label">{labelOf(tag, pencil)}</span>
        <ul>{drawItems(child.content, pencil)}</ul>
        {child.type === 'when' && child.otherwise && (
          <>
            <span className="structure-label">Otherwise</span>
            <ul>{drawItems(child.otherwise, pencil)}</ul>
          </>
        )}
      </li>
    );
  });
}

function PencilTable({ table, pencil }: { table: Table; pencil: Pencil }) {
  const side = (column: number) => {
    const align = table.align[column];
    return align ? `column-${align}` : undefined;
  };
  const rows = (children: readonly Structured<TableRow>[]): ReactNode =>
    children.map((child, i) => {
      if (child.type === 'comment') return null;
      if (child.type === 'tableRow') {
        return (
          <tr key={i}>
            {child.content.map((cell, column) => (
              <td key={column} className={side(column)}>
                <PencilWords words={cell.content} pencil={pencil} />
              </td>
            ))}
          </tr>
        );
      }
      const tag: Tag =
        child.type === 'section' ? openTag(child) : { type: 'open when', condition: child.condition };
      return (
        <Fragment key={i}>
          <tr className="structure-row">
            <td colSpan={table.align.length}>
              <span className="structure-label">{labelOf(tag, pencil)}</span>
            </td>
          </tr>
          {rows(child.content)}
          {child.type === 'when' && child.otherwise && rows(child.otherwise)}
        </Fragment>
      );
    });
  return (
    <table>
      <thead>
        <tr>
          {table.header.map((cell, column) => (
            <th key={column} scope="col" className={side(column)}>
              <PencilWords words={cell.content} pencil={pencil} />
            </th>
          ))}
        </tr>
      </thead>
      <tbody>{rows(table.content)}</tbody>
    </table>
  );
}

function drawMark(mark: Mark, words: ReactNode): ReactNode {
  switch (mark.type) {
    case 'bold':
      return <strong>{words}</strong>;
    case 'italic':
      return <em>{words}</em>;
    case 'code':
      return <code>{words}</code>;
    case 'style':
      return <span className={styleClasses([mark.style])}>{words}</span>;
    case 'link':
      // In a template nothing is followed.
      return <span className={mark.button ? 'letter-button' : 'letter-link'}>{words}</span>;
  }
}

function drawWord(node: Inline, pencil: Pencil): ReactNode {
  switch (node.type) {
    case 'text':
      return node.text;
    case 'break':
      return <br />;
    case 'image': {
      const description = printLine(node.description);
      return (
        <LetterImage
          source={printLine(node.source)}
          description={description && `Picture: ${description}`}
          width={node.width}
        />
      );
    }
    case 'signature':
      return <span className="letter-signature">Signature of whoever writes</span>;
    case 'gap':
      return <span className="field field-open">{node.words}</span>;
    case 'unfinished':
      return <span className="field-open">{node.words}</span>;
    case 'section':
      return (
        <span className="structure-inline" title={labelOf(openTag(node), pencil)}>
          <span className="structure-label">{labelOf(openTag(node), pencil)}: </span>
          <PencilWords words={node.content} pencil={pencil} />
        </span>
      );
    case 'when':
      return (
        <span className="structure-inline">
          <span className="structure-label">
            {labelOf({ type: 'open when', condition: node.condition }, pencil)}:{' '}
          </span>
          <PencilWords words={node.content} pencil={pencil} />
          {node.otherwise && (
            <>
              <span className="structure-label"> otherwise: </span>
              <PencilWords words={node.otherwise} pencil={pencil} />
            </>
          )}
        </span>
      );
    case 'passage':
      return <span className="field">{node.name}</span>;
    case 'comment':
      return null;
    case 'blank':
      return <span className="field blank">{labelOf(node, pencil)}</span>;
    case 'field':
      return drawField(node, pencil);
  }
}

/** A field as it will look: a button, a link, a picture; any other by what it is called. */
function drawField(node: Field, pencil: Pencil): ReactNode {
  const label = labelOf(node, pencil);
  const look = node.steps.find(({ step }) => step !== 'or');
  if (look?.step === 'button' || (look?.step === 'as' && look.words.length === 1)) {
    return (
      <span className={look.step === 'button' ? 'letter-button' : 'letter-link'} title={label}>
        {look.step === 'button' ? look.words : look.words[0]}
      </span>
    );
  }
  return <span className={look?.step === 'width' ? 'letter-image' : 'field'}>{label}</span>;
}

function labelOf(tag: Tag, { labels }: Pencil): string {
  const written = printTag(tag);
  return labels[written] ?? written;
}

function openTag({ path, steps, inverted }: { path: string; steps: Step[]; inverted: boolean }): Tag {
  return { type: 'open', path, steps, inverted };
}

function styleClasses(styles: readonly Style[]): string {
  return styles.map((style) => `style-${style}`).join(' ');
}
