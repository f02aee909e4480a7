import type { BlockContent, ListItem as MarkdownItem, Nodes, PhrasingContent, RootContent } from 'mdast';
import { toMarkdown, type Handle } from 'mdast-util-to-markdown';
import type {
  Block,
  Comment,
  Inline,
  Line,
  ListChild,
  Mark,
  PassageUse,
  Row,
  Section,
  Table,
  TableCell,
  TemplateDocument,
  When,
} from '../../document/templateDocument';
import type { Style } from '../../document/document';
import { longestRun, markKey, withoutMark } from '../../document/marks';
import { printTag } from '../tags/printTag';
import { isEscaped } from '../tags/scanTags';
import type { Tag } from '../tags/tag';
import { HANDLERS, tagLinesStandClose, type Span, type TableOut, type TagLineOut } from './markdownHandlers';
import { heldIndex, placeholder, PLACEHOLDERS } from './placeholders';
import { escapedBraces, openingOf, printLine } from './printLine';
import { printAttributes } from './readAttributes';
import { attentionHolds, firstChar, lastChar, type Edges } from './wordEdges';

/** Writes a document as the body that readMarkdown reads; reading it again gives the same document. */
export function printMarkdown(document: TemplateDocument): string {
  const raw: string[] = [];
  const hold = (text: string) => {
    raw.push(text);
    return placeholder(raw.length - 1);
  };
  const tree = { type: 'root', children: new TreeBuilder(hold).blocks(document.content) } as Nodes;
  // A tag beside asterisks may come as its character's number: then these are none, but the tag stays.
  const text = unnumbered(
    toMarkdown(tree, {
      bullet: '-',
      emphasis: '*',
      listItemIndent: 'one',
      rule: '-',
      fences: true,
      handlers: HANDLERS as Record<string, Handle>,
      join: [tagLinesStandClose],
      unsafe: [
        { character: '{', before: '[\\])]', inConstruct: 'phrasing' },
        { atBreak: true, character: ':', after: '[:-]' },
        { character: '|', inConstruct: 'tableCell' },
        { character: '\n', inConstruct: 'tableCell' },
        { atBreak: true, character: '|' },
        { atBreak: true, character: '-', after: '[:|-]' },
      ],
    }),
  );
  return text.replace(PLACEHOLDERS, (char, _, offset: number) => {
    const written = raw[heldIndex(char)!] ?? char;
    return isEscaped(text, offset) ? `\\${written}` : written;
  });
}

function unnumbered(text: string): string {
  return text.replace(/&#x(10[0-9A-F]{4});/g, (_, code: string) => String.fromCodePoint(parseInt(code, 16)));
}

/** Makes the Markdown tree of a document; tags become placeholders, so that nothing in them is escaped. */
class TreeBuilder {
  constructor(private readonly hold: (raw: string) => string) {}

  private readonly tag = (tag: Tag) => this.hold(printTag(tag));

  /** Words in which Markdown escapes backslashes of its own. */
  private readonly literal = (text: string) =>
    escapedBraces(text).replaceAll('\\{{', (braces) => this.hold(braces));

  private address(line: Line): string {
    return printLine(line, this.tag, this.literal);
  }

  blocks(blocks: readonly Block[]): RootContent[] {
    return blocks.flatMap((block) => this.block(block));
  }

  private block(block: Block): RootContent[] {
    switch (block.type) {
      case 'paragraph':
        return [{ type: 'paragraph', children: this.words(block.content) }];
      case 'heading':
        return [{ type: 'heading', depth: block.attrs.level as 1, children: this.words(block.content) }];
      case 'rule':
        return [{ type: 'thematicBreak' }];
      case 'quote':
        return [{ type: 'blockquote', children: this.blocks(block.content) as BlockContent[] }];
      case 'codeBlock': {
        const value = printLine(block.content, this.tag);
        return [{ type: 'code', lang: block.attrs?.language ?? null, value }];
      }
      case 'bulletList':
      case 'orderedList': {
        const spread = !block.attrs?.tight;
        const children = block.content.flatMap((child) => this.listChild(child, spread)) as MarkdownItem[];
        const start = block.type === 'orderedList' ? (block.attrs?.start ?? 1) : null;
        return [{ type: 'list', ordered: start !== null, start, spread, children }];
      }
      case 'table':
        return [this.table(block)];
      case 'styled': {
        const opening = `::: ${printAttributes(block.attrs) || '{}'}`;
        return [this.line(opening, 'opens'), ...this.blocks(block.content), this.line(':::', 'closes')];
      }
      default:
        return this.structured(block, (one: Block) => this.block(one));
    }
  }

  private listChild(child: ListChild, spread: boolean): RootContent[] {
    if (child.type !== 'listItem') {
      return this.structured(child, (one: ListChild) => this.listChild(one, spread));
    }
    return [{ type: 'listItem', spread, children: this.blocks(child.content) as BlockContent[] }];
  }

  /** A section, condition, comment or passage among blocks or list items. */
  private structured<Child>(
    node: Section<Child> | When<Child> | Comment | PassageUse,
    each: (child: Child) => RootContent[],
  ): RootContent[] {
    if (node.type === 'comment' || node.type === 'passage') return [this.line(this.tag(node), 'alone')];
    const opening = this.line(openingOf(node, this.tag), 'opens');
    if (node.type === 'section') {
      const closing = this.line(this.tag({ type: 'close', path: node.attrs.path }), 'closes');
      return [opening, ...node.content.flatMap(each), closing];
    }
    const [then, other] = node.content;
    const otherwise = other
      ? [this.line(this.tag({ type: 'otherwise' }), 'between'), ...other.content.flatMap(each)]
      : [];
    const closing = this.line(this.tag({ type: 'close when' }), 'closes');
    return [opening, ...then.content.flatMap(each), ...otherwise, closing];
  }

  private line(value: string, side: TagLineOut['side']): RootContent {
    // A list may begin with it, whose first child is asked for its children.
    return { type: 'tagLine', value, side, children: [{ type: 'text', value }] } as never;
  }

  private table({ attrs: { align }, content }: Table): TableOut {
    return { type: 'pipeTable', rows: content.flatMap((child) => this.row(child)), align };
  }

  private row(child: Row): TableOut['rows'] {
    if (child.type === 'tableRow') return [this.cells(child.content)];
    if (child.type === 'comment') return [this.tag(child)];
    const opening = openingOf(child, this.tag);
    const all = (rows: readonly Row[]) => rows.flatMap((one) => this.row(one));
    if (child.type === 'section') {
      return [opening, ...all(child.content), this.tag({ type: 'close', path: child.attrs.path })];
    }
    const [then, other] = child.content;
    const otherwise = other ? [this.tag({ type: 'otherwise' }), ...all(other.content)] : [];
    return [opening, ...all(then.content), ...otherwise, this.tag({ type: 'close when' })];
  }

  private cells(cells: readonly TableCell[]): PhrasingContent[][] {
    return cells.map((cell) => this.words(cell.content));
  }

  /**
   * Wraps runs that share a mark, the longest run outermost.
   * @param beside what stands at both ends: a tag, a bracket, nothing
   */
  private words(nodes: readonly Inline[], beside: Beside = NOTHING): PhrasingContent[] {
    const out: PhrasingContent[] = [];
    for (let at = 0; at < nodes.length;) {
      const { mark, length } = longestRun(nodes, at);
      if (!mark) {
        const next = nodes[at + 1];
        this.unmarked(nodes[at]!, out, next ? isTag(next) : beside.after === TAG);
        at++;
        continue;
      }
      const run = nodes.slice(at, at + length);
      const bare = run.map((node) => withoutMark(node, markKey(mark)));
      const children = this.words(bare, mark.type === 'link' || mark.type === 'style' ? BRACKETS : NOTHING);
      const before = at > 0 ? lastChar(nodes[at - 1]) : beside.before;
      const after = at + length < nodes.length ? firstChar(nodes[at + length]) : beside.after;
      const edges = { before, after, run: bare };
      out.push(this.wrap(mark, children, edges));
      at += length;
    }
    return out;
  }

  private wrap(mark: Mark, children: PhrasingContent[], edges: Edges): PhrasingContent {
    if (mark.type === 'link') {
      const { address, title = null, ...looks } = mark.attrs;
      const link: PhrasingContent = {
        type: 'link',
        url: this.address(address),
        title: title && this.literal(title),
        children,
      };
      return { ...link, attributes: printAttributes(looks) } as PhrasingContent;
    }
    if (mark.type === 'style') return this.span(mark.attrs.style, children);
    if (mark.type === 'code') return { type: 'inlineCode', value: printLine(edges.run as Line, this.tag) };
    if (!attentionHolds(edges)) return this.span(mark.type, children);
    return { type: mark.type === 'bold' ? 'strong' : 'emphasis', children };
  }

  private span(style: Style | 'bold' | 'italic', children: PhrasingContent[]): Span {
    const [only] = children;
    if (children.length === 1 && only?.type === 'span') return { ...only, styles: [style, ...only.styles] };
    return { type: 'span', styles: [style], children };
  }

  private unmarked(node: Inline, out: PhrasingContent[], tagFollows: boolean): void {
    switch (node.type) {
      case 'text':
        for (const part of escapedBraces(node.text).split(/(\\\{\{|(?<!\{)\{$)/)) {
          if (part === '\\{{') text(out, this.hold(part));
          // The braces of a tag that follows would become three.
          else if (part === '{' && tagFollows) text(out, this.hold('&#123;'));
          else text(out, part);
        }
        return;
      case 'break':
        out.push({ type: 'break' });
        return;
      case 'image': {
        const { source, description, width, link, styles } = node.attrs;
        out.push({
          type: 'image',
          url: this.address(source),
          alt: this.address(description),
          attributes: printAttributes({ styles, width, link: link && printLine(link, this.tag) }),
        } as PhrasingContent);
        return;
      }
      case 'section':
        text(out, openingOf(node, this.tag));
        out.push(...this.words(node.content, TAGS));
        text(out, this.tag({ type: 'close', path: node.attrs.path }));
        return;
      case 'when': {
        const [then, other] = node.content;
        text(out, openingOf(node, this.tag));
        out.push(...this.words(then.content, TAGS));
        if (other) {
          text(out, this.tag({ type: 'otherwise' }));
          out.push(...this.words(other.content, TAGS));
        }
        text(out, this.tag({ type: 'close when' }));
        return;
      }
      default:
        text(out, this.tag(node));
    }
  }
}

interface Beside {
  before: string;
  after: string;
}

/** A tag counts as a letter. */
const TAG = 'x';
const NOTHING: Beside = { before: '', after: '' };
const TAGS: Beside = { before: TAG, after: TAG };
const BRACKETS: Beside = { before: '[', after: ']' };

/** Whether what comes begins with the braces of a tag. */
function isTag({ type, marks }: Inline & { marks?: Mark[] }): boolean {
  return !marks?.length && type !== 'text' && type !== 'break' && type !== 'image';
}

function text(out: PhrasingContent[], value: string): void {
  if (!value) return;
  const last = out.at(-1);
  if (last?.type === 'text') last.value += value;
  else out.push({ type: 'text', value });
}
