import { Fragment, type ReactNode } from 'react';
import type { CopyMark, CopyNode } from '../../core/fairCopy/copyDocument';
import { LetterImage } from './LetterImage';
import { alignments } from './alignments';

interface Props {
  nodes: readonly CopyNode[];
  onChoose?: (id: string) => void;
}

/** The blocks of a fair copy as they are read: the same as the page draws them, before it can be edited. */
export function CopyBlocks({ nodes, onChoose }: Props) {
  return nodes.map((node, i) => <CopyBlock key={i} node={node} onChoose={onChoose} />);
}

function CopyBlock({ node, onChoose }: { node: CopyNode; onChoose: Props['onChoose'] }): ReactNode {
  const { type, attrs = {}, content = [] } = node;
  const inside = () => <CopyBlocks nodes={content} {...(onChoose ? { onChoose } : {})} />;
  const words = () => <CopyWords nodes={content} {...(onChoose ? { onChoose } : {})} />;
  switch (type) {
    case 'subject':
      return <p className="subject">{words()}</p>;
    case 'paragraph':
      return <p>{words()}</p>;
    case 'heading':
      return <p className={`letter-heading letter-heading-${attrs.level}`}>{words()}</p>;
    case 'rule':
      return <hr />;
    case 'quote':
      return <blockquote>{inside()}</blockquote>;
    case 'bulletList':
      return <ul>{inside()}</ul>;
    case 'orderedList':
      return <ol start={attrs.start ?? 1}>{inside()}</ol>;
    case 'listItem':
      return <li>{inside()}</li>;
    case 'table':
      return (
        <table className={alignments(attrs.align ?? [])}>
          <tbody>{inside()}</tbody>
        </table>
      );
    case 'tableRow':
      return <tr className={attrs.header ? 'header-row' : undefined}>{inside()}</tr>;
    case 'tableCell':
      return <td>{words()}</td>;
    case 'codeBlock':
      return <pre>{words()}</pre>;
    case 'styled':
      return <div className={looks(attrs.styles)}>{inside()}</div>;
    default:
      return null;
  }
}

function CopyWords({ nodes, onChoose }: Props) {
  return nodes.map((node, i) => (
    <Fragment key={i}>
      {(node.marks ?? []).reduceRight(
        (inner, mark) => marked(mark, inner, node, onChoose),
        word(node, onChoose),
      )}
    </Fragment>
  ));
}

function word({ type, text, attrs = {} }: CopyNode, onChoose: Props['onChoose']): ReactNode {
  if (type === 'text') return text;
  if (type === 'break') return <br />;
  if (type === 'image') {
    const { source = '', description = '', width } = attrs;
    return <LetterImage source={source} description={description} width={width} />;
  }
  if (!onChoose) return <span className="hole hole-button">{attrs.label}</span>;
  return (
    <span className="hole" data-id={attrs.id}>
      <button
        type="button"
        className="hole-button"
        aria-label={`Missing: ${attrs.label}`}
        onClick={() => onChoose(attrs.id!)}
      >
        {attrs.label}
      </button>
    </span>
  );
}

function marked(mark: CopyMark, inner: ReactNode, node: CopyNode, onChoose: Props['onChoose']): ReactNode {
  switch (mark.type) {
    case 'bold':
      return <strong>{inner}</strong>;
    case 'italic':
      return <em>{inner}</em>;
    case 'code':
      return <code>{inner}</code>;
    case 'signature':
      return inner;
    case 'style':
      return <span className={`style-${mark.attrs.style}`}>{inner}</span>;
    case 'link':
      return (
        <span
          className={`letter-link ${mark.attrs.button ? 'letter-button' : ''} ${looks(mark.attrs.styles)}`}
        >
          {inner}
        </span>
      );
    case 'value': {
      const { id, said } = mark.attrs;
      const changed = node.type === 'text' && !said.includes(node.text!);
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
  }
}

function looks(styles: readonly string[] = []): string {
  return styles.map((style) => `style-${style}`).join(' ');
}
