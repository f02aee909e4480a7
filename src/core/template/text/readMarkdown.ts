import type { Nodes, Parents, RootContent, Table as MarkdownTable, List as MarkdownList } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { gfmTableFromMarkdown } from 'mdast-util-gfm-table';
import { gfmTable } from 'micromark-extension-gfm-table';
import type {
  Block,
  Inline,
  ListItem,
  Table,
  TableRow,
  TemplateDocument,
  Text,
} from '../../document/templateDocument';
import type { PlaceFinder, Places, Problem } from '../../problems/problem';
import { mayStandAlone, type StructureTag } from '../tags/tag';
import { gatherLists } from './gatherLists';
import { pairTags } from './pairTags';
import { heldIndex, holdTags } from './placeholders';
import { shapeOf } from './lineShape';
import { readAttributes } from './readAttributes';
import { WordReader } from './readWords';
import { tagLineFromMarkdown, tagLineSyntax } from './tagLine';

/** More containers than this on one line are refused. */
const DEEPEST_LINE = 40;

/** Deeper nesting than this is refused: no letter needs it, and readers of mail choke on it. */
const DEEPEST = 200;

/**
 * Reads a body: CommonMark with tables, whose tags were read first. Raw HTML is text, and so is a line that is
 * indented by four spaces (letters hold no code by indentation).
 * @param lines finds the place of an offset in `source`
 */
export function readMarkdown(
  source: string,
  lines: PlaceFinder,
  places: Places,
  problems: Problem[],
): TemplateDocument {
  const deep = lineTooDeep(source);
  if (deep !== undefined) {
    problems.push({
      ...lines.place(deep),
      message: `More than ${DEEPEST_LINE} quotations and lists begin on this line.`,
    });
    return { type: 'doc', content: [] };
  }
  const { text, held, notBlocks } = holdTags(source, lines, places, problems);
  const tree = fromMarkdown(text, {
    extensions: [
      gfmTable(),
      tagLineSyntax((placeholder) => {
        const index = heldIndex(placeholder);
        const one = index === undefined ? undefined : held[index];
        if (!one || notBlocks.has(index!)) return false;
        return one.kind === 'fence' || (one.kind === 'tag' && mayStandAlone(one.tag));
      }),
      { disable: { null: ['htmlFlow', 'htmlText', 'codeIndented'] } },
    ],
    mdastExtensions: [gfmTableFromMarkdown(), tagLineFromMarkdown],
  });
  const words = new WordReader(held, lines, places, problems, collectDefinitions(tree));
  const markers = new WeakMap<object, string>();
  return { type: 'doc', content: blocks(tree, 0) };

  function blocks(parent: Parents, depth: number): Block[] {
    if (depth > DEEPEST) {
      problems.push({ ...lines.place(0), message: `Blocks are nested more than ${DEEPEST} deep.` });
      return [];
    }
    const run = (parent.children as RootContent[]).flatMap((node) => block(node, depth) ?? []);
    return gatherLists(pairTags(run, places, problems) as Block[], markers);
  }

  function block(node: RootContent, depth: number): Block | StructureTag | Block[] | undefined {
    switch (node.type) {
      case 'paragraph':
        return commentsApart(words.read(node.children));
      case 'heading':
        return { type: 'heading', attrs: { level: node.depth }, content: words.read(node.children) };
      case 'thematicBreak':
        return { type: 'rule' };
      case 'blockquote':
        return { type: 'quote', content: blocks(node, depth + 1) };
      case 'list':
        return list(node, depth);
      case 'table':
        return table(node);
      case 'code':
        return {
          type: 'codeBlock',
          ...(node.lang ? { attrs: { language: node.lang } } : {}),
          content: words.readVerbatim(node.value),
        };
      case 'tagLine':
        return tagLine(node.value);
      default:
        return undefined; // definitions, which their references have used
    }
  }

  function list(node: MarkdownList, depth: number): Block {
    const content = node.children.map((item): ListItem => ({
      type: 'listItem',
      content: blocks(item, depth + 1),
    }));
    const tight = !areSpread(node.children) && node.children.every((item) => !areSpread(item.children));
    const start = node.start ?? 1;
    const attrs = { ...(tight ? { tight } : {}), ...(node.ordered && start !== 1 ? { start } : {}) };
    const made: Block = {
      type: node.ordered ? 'orderedList' : 'bulletList',
      ...(Object.keys(attrs).length ? { attrs } : {}),
      content,
    };
    const first = text.slice(node.position!.start.offset, node.position!.start.offset! + 12);
    markers.set(made, node.ordered ? /^\d+(.)/.exec(first)![1]! : first[0]!);
    return made;
  }

  function table(node: MarkdownTable): Table {
    const [header, ...body] = node.children.map((row): TableRow | StructureTag => {
      const index = heldIndex(text.slice(row.position!.start.offset, row.position!.end.offset).trim() || ' ');
      const one = index === undefined ? undefined : held[index];
      // A placeholder without a pipe is a tag alone on its line.
      if (one?.kind === 'tag' && notBlocks.has(index!)) return one.tag as StructureTag;
      return {
        type: 'tableRow',
        content: row.children.map((cell) => ({ type: 'tableCell', content: words.read(cell.children) })),
      };
    });
    return {
      type: 'table',
      attrs: { align: (node.align ?? []).map((side) => side ?? null) },
      content: [{ ...(header as TableRow), attrs: { header: true } }, ...pairTags(body, places, problems)],
    };
  }

  function tagLine(placeholder: string): Block | StructureTag {
    const one = held[heldIndex(placeholder)!]!;
    if (one.kind === 'tag') return one.tag as Block;
    const fence = one as Extract<typeof one, { kind: 'fence' }>;
    const tag: StructureTag = fence.attributes ? { type: 'open block', styles: [] } : { type: 'close block' };
    places.set(tag, lines.place(fence.at));
    if (fence.attributes) {
      const attributes = readAttributes(fence.attributes, 'block');
      if (Array.isArray(attributes)) {
        problems.push(...attributes.map((message) => ({ ...lines.place(fence.at), message })));
      } else if (tag.type === 'open block') tag.styles = attributes.styles;
    }
    return tag;
  }
}

/** Where a line begins that opens more containers than any letter needs: to read it takes the square of their number. */
function lineTooDeep(source: string): number | undefined {
  let offset = 0;
  for (const line of source.split('\n')) {
    const { quotes, items } = shapeOf(line);
    if (quotes + items > DEEPEST_LINE) return offset;
    offset += line.length + 1;
  }
  return undefined;
}

/** A comment on a line of its own above or below the words of a paragraph is no part of it. */
function commentsApart(content: Inline[]): Block[] {
  const [above, below]: [Block[], Block[]] = [[], []];
  const words = [...content];
  for (;;) {
    const [first, second] = words;
    const [before, last] = [words.at(-2), words.at(-1)];
    if (first?.type === 'comment' && second?.type === 'text' && second.text.startsWith('\n')) {
      above.push(first);
      words.splice(0, 2, ...shortened(second, second.text.slice(1)));
    } else if (last?.type === 'comment' && before?.type === 'text' && before.text.endsWith('\n')) {
      below.unshift(last);
      words.splice(-2, 2, ...shortened(before, before.text.slice(0, -1)));
    } else return [...above, { type: 'paragraph', content: words }, ...below];
  }
}

function shortened(node: Text, text: string): Text[] {
  return text ? [{ ...node, text }] : [];
}

/** Whether a blank line stands between any two neighbours. */
function areSpread(nodes: readonly Nodes[]): boolean {
  return nodes.some((node, i) => i > 0 && node.position!.start.line - lastLine(nodes[i - 1]!) > 1);
}

/** A container's own end may lie behind the blank lines that follow it. */
function lastLine(node: Nodes): number {
  const last = 'children' in node ? node.children.at(-1) : undefined;
  return last ? lastLine(last) : node.position!.end.line;
}

function collectDefinitions(tree: Nodes): Map<string, string> {
  const definitions = new Map<string, string>();
  const visit = (node: Nodes) => {
    if (node.type === 'definition' && !definitions.has(node.identifier))
      definitions.set(node.identifier, node.url);
    if ('children' in node) for (const child of node.children) visit(child);
  };
  visit(tree);
  return definitions;
}
