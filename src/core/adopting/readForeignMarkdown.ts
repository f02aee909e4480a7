import type { Block, Inline, ListChild, Row, TemplateDocument } from '../document/templateDocument';
import { LineIndex, type Problem } from '../problems/problem';
import { foreignMarks } from '../reading/foreignMarks';
import { readMarkdown } from '../template/text/readMarkdown';

/** Unicode’s plane 15 is for private use: a character of it stands for a placeholder while Markdown is read. */
const FIRST = 0xf0000;
const LAST = 0xffffd;
const HELD = /[\u{F0000}-\u{FFFFD}]/gu;

/**
 * Reads Markdown whose placeholders are another program’s: what Markdown or our tags would make of them is not looked for.
 * @throws RangeError there are more placeholders than can be told apart
 */
export function readForeignMarkdown(
  source: string,
  file: string,
): { document: TemplateDocument; problems: Problem[] } {
  const held: string[] = [];
  let text = '';
  let at = 0;
  for (const { from, to, words } of foreignMarks(source)) {
    // A link’s words, a picture’s description and a task stand in brackets, too.
    if (/^\[/.test(words) && /^(?:[([]|:)/.test(source.slice(to, to + 1))) continue;
    if (/^\[/.test(words) && source[from - 1] === '!') continue;
    if (FIRST + held.length > LAST) throw new RangeError('There are too many placeholders in this text.');
    text += `${withoutHeld(source.slice(at, from))}${String.fromCodePoint(FIRST + held.length)}`;
    held.push(words);
    at = to;
  }
  text += withoutHeld(source.slice(at));
  const problems: Problem[] = [];
  const document = readMarkdown(text, new LineIndex(text, file), new WeakMap(), problems);
  return {
    document: { ...document, content: document.content.map((block) => unheld(block, held)) },
    problems,
  };
}

/** What else could be taken for one of those, or for a tag of ours. */
function withoutHeld(text: string): string {
  return text.replace(HELD, '').replaceAll('{{', '\\{{');
}

/** Puts back what was held; in the words, and in the addresses of links and pictures. */
function unheld<Node extends Block | Inline | ListChild | Row>(node: Node, held: readonly string[]): Node {
  return JSON.parse(
    JSON.stringify(node).replace(HELD, (char) =>
      JSON.stringify(held[char.codePointAt(0)! - FIRST] ?? '').slice(1, -1),
    ),
  ) as Node;
}
