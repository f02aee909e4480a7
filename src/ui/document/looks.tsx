import type { ReactNode } from 'react';
import type { CopyBlock, CopyMark } from '../../core/document/copyDocument';
import type { ListItem, Style } from '../../core/document/document';
import type { Block, Mark } from '../../core/document/templateDocument';

type Drawn = Exclude<
  CopyBlock | Extract<Block, { type: CopyBlock['type'] }> | ListItem<unknown>,
  { type: 'table' }
>;

/** A block as it looks in a template and in a letter, around what stands in it. */
export function drawBlock(block: Drawn, content: ReactNode): ReactNode {
  switch (block.type) {
    case 'paragraph':
      return <p>{content}</p>;
    case 'heading':
      return <p className={`letter-heading letter-heading-${block.attrs.level}`}>{content}</p>;
    case 'rule':
      return <hr />;
    case 'quote':
      return <blockquote>{content}</blockquote>;
    case 'bulletList':
      return <ul>{content}</ul>;
    case 'orderedList':
      return <ol start={block.attrs?.start ?? 1}>{content}</ol>;
    case 'listItem':
      return <li>{content}</li>;
    case 'codeBlock':
      return <pre>{content}</pre>;
    case 'styled':
      return <div className={styleClasses(block.attrs.styles)}>{content}</div>;
  }
}

/** A mark as it looks in a template and in a letter, around its words. */
export function drawMark(mark: Mark | Exclude<CopyMark, { type: 'value' }>, words: ReactNode): ReactNode {
  switch (mark.type) {
    case 'bold':
      return <strong>{words}</strong>;
    case 'italic':
      return <em>{words}</em>;
    case 'code':
      return <code>{words}</code>;
    case 'signature':
      return words;
    case 'style':
      return <span className={styleClasses([mark.attrs.style])}>{words}</span>;
    case 'link': {
      // On the page nothing is followed.
      const { button, styles } = mark.attrs;
      return (
        <span className={`letter-link ${button ? 'letter-button' : ''} ${styleClasses(styles)}`}>
          {words}
        </span>
      );
    }
  }
}

function styleClasses(styles: readonly Style[] = []): string {
  return styles.map((style) => `style-${style}`).join(' ');
}
