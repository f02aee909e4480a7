import type { Block, Inline, Line } from '../document/templateDocument';
import type { LetterText } from './letterText';
import type { Listing, Stretch } from './zones';

const SUBJECT = /^(?:subject|betreff|objet|re|betr\.?)\s*:\s*(.*)$/iu;

/**
 * A letter as plain text: paragraphs with an empty line between them, the ends of their lines kept. What its first line says behind
 * “Subject:” is its subject.
 */
export function plainText(text: string): LetterText {
  const begins = new Map<readonly Inline[], number>();
  const content: Block[] = [];
  let subject: Line = [];
  let paragraph: Inline[] = [];
  let from = 0;
  const end = () => {
    if (paragraph.length) {
      begins.set(paragraph, from);
      content.push({ type: 'paragraph', content: paragraph });
    }
    paragraph = [];
  };
  let at = 0;
  for (const whole of text.split('\n')) {
    const line = whole.replace(/\s+$/u, '');
    const said = at === 0 ? SUBJECT.exec(line) : null;
    if (said) {
      subject = said[1] ? [{ type: 'text', text: said[1] }] : [];
      begins.set(subject, line.length - said[1]!.length);
    } else if (line === '') end();
    else {
      if (paragraph.length === 0) from = at;
      // Its places are those of the text, so what ends a line and is not kept is part of the break.
      else paragraph.push({ type: 'break' });
      paragraph.push({ type: 'text', text: line });
    }
    at += whole.length + 1;
  }
  end();
  return { text, begins, links: [], listed: listsIn(text), subject, document: { type: 'doc', content } };
}

const ITEM = /^\s*(?:[-*•–]|\d{1,3}[.)])\s+\S/u;

/** Lines one below the other that begin as the items of a list do. */
function listsIn(text: string): Listing[] {
  const listed: Listing[] = [];
  let rows: Stretch[] = [];
  let at = 0;
  for (const line of [...text.split('\n'), '']) {
    if (ITEM.test(line)) rows.push({ from: at, to: at + line.length });
    else {
      if (rows.length > 1) listed.push({ table: false, rows });
      rows = [];
    }
    at += line.length + 1;
  }
  return listed;
}
