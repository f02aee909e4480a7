import { Fragment, type ReactNode } from 'react';
import type { CopyMark, CopyPart, CopyWord } from '../../core/document/copyDocument';
import { holdsWords, partsOf } from '../../core/document/eachNode';
import { alignments } from './alignments';
import { LetterImage } from './LetterImage';
import { drawBlock, drawMark } from './looks';

interface Props {
  nodes: readonly CopyPart[];
  onChoose?: (id: string) => void;
}

/** The blocks of a fair copy as they are read: the same as the page draws them, before it can be edited. */
export function CopyBlocks({ nodes, onChoose }: Props) {
  return nodes.map((node, i) => <CopyBlock key={i} node={node} onChoose={onChoose} />);
}

function CopyBlock({ node, onChoose }: { node: CopyPart; onChoose: Props['onChoose'] }): ReactNode {
  const choosing = onChoose ? { onChoose } : {};
  const inside = holdsWords(node) ? (
    <CopyWords nodes={node.content} {...choosing} />
  ) : (
    <CopyBlocks nodes={partsOf(node)} {...choosing} />
  );
  switch (node.type) {
    case 'doc':
      return inside;
    case 'subject':
      return <p className="subject">{inside}</p>;
    case 'table':
      return (
        <table className={alignments(node.attrs.align)}>
          <tbody>{inside}</tbody>
        </table>
      );
    case 'tableRow':
      return <tr className={node.attrs?.header ? 'header-row' : undefined}>{inside}</tr>;
    case 'tableCell':
      return <td>{inside}</td>;
    default:
      return drawBlock(node, inside);
  }
}

function CopyWords({ nodes, onChoose }: { nodes: readonly CopyWord[]; onChoose?: Props['onChoose'] }) {
  return nodes.map((node, i) => (
    <Fragment key={i}>
      {(node.marks ?? []).reduceRight<ReactNode>(
        (inner, mark) => marked(mark, inner, node, onChoose),
        word(node, onChoose),
      )}
    </Fragment>
  ));
}

function word(node: CopyWord, onChoose: Props['onChoose']): ReactNode {
  switch (node.type) {
    case 'text':
      return node.text;
    case 'break':
      return <br />;
    case 'image': {
      const { source, description, width } = node.attrs;
      return <LetterImage source={source} description={description} width={width} />;
    }
    case 'hole': {
      const { id, label } = node.attrs;
      if (!onChoose) return <span className="hole hole-button">{label}</span>;
      return (
        <span className="hole" data-id={id}>
          <button
            type="button"
            className="hole-button"
            aria-label={`Missing: ${label}`}
            onClick={() => onChoose(id)}
          >
            {label}
          </button>
        </span>
      );
    }
  }
}

function marked(mark: CopyMark, inner: ReactNode, node: CopyWord, onChoose: Props['onChoose']): ReactNode {
  if (mark.type !== 'value') return drawMark(mark, inner);
  const { id, said } = mark.attrs;
  const changed = node.type === 'text' && !said.includes(node.text);
  return (
    <span
      className={`value ${changed ? 'value-changed' : ''}`}
      data-id={id}
      {...(onChoose ? { onClick: () => onChoose(id) } : {})}
    >
      {inner}
    </span>
  );
}
