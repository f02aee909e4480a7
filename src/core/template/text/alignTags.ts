import type { Tag } from '../tags/tag';

/** The opening tags whose closing ones stand on lines of their own. */
interface Opened {
  tag: Tag;
  /** its line and those of its `otherwise`; none where it stands behind a list's mark, which says where it belongs */
  lines: number[];
  /** the least indentation of what it surrounds; Infinity while it surrounds nothing */
  indent: number;
}

/** The marks of the quotations a line stands in, and its indentation in them. */
const BEGINNING = /^((?: {0,3}>)*)( *)/;

/**
 * Moves each tag alone on its line to the indentation of what it surrounds, a comment at
 * least to that of the line that follows it:
 * in Markdown a line's indentation says which list item it belongs to, and nobody thinks of a tag's line so. What
 * stands in other quotations than its tag is left as it is.
 * @param tagOn the tag that is all of a line but for what is around it, and whether it stands behind a list's mark
 */
export function alignTags(
  lines: readonly string[],
  tagOn: (line: string) => { tag: Tag; inItem: boolean } | undefined,
): string[] {
  const aligned = [...lines];
  const open: Opened[] = [];
  /** comments on the lines just before */
  let comments: number[] = [];
  const align = (line: number, indent: number) => {
    const text = lines[line]!;
    const [all, quotes] = BEGINNING.exec(text)!;
    aligned[line] = `${quotes}${' '.repeat(indent)}${text.slice(all.length)}`;
  };
  for (const [i, line] of lines.entries()) {
    const { tag, inItem = false } = tagOn(line) ?? {};
    const top = open.at(-1);
    if (tag?.type === 'comment' && !inItem) {
      comments.push(i);
      continue;
    }
    const above = comments;
    comments = [];
    if (tag?.type === 'otherwise') top?.lines.push(i);
    else if (tag?.type === 'close' || tag?.type === 'close when') {
      if (!top || nameOf(top.tag) !== nameOf(tag)) continue;
      open.pop();
      const { lines: own, indent } = top;
      if (own.length && indent < Infinity) for (const one of [...own, i]) align(one, indent);
      const outer = open.at(-1);
      if (outer) outer.indent = Math.min(outer.indent, indent);
    } else if (line.trim()) {
      const opens = tag?.type === 'open' || tag?.type === 'open when';
      if (opens && !inItem) {
        open.push({ tag, lines: [i], indent: Infinity });
        continue;
      }
      const indent = indentOf(line);
      if (top) top.indent = Math.min(top.indent, indent);
      // One that stands further in is part of the item above, and breaks nothing.
      for (const comment of above) if (indentOf(lines[comment]!) < indent) align(comment, indent);
      if (opens) open.push({ tag, lines: [], indent: Infinity });
    }
  }
  return aligned;
}

function indentOf(line: string): number {
  return BEGINNING.exec(line)![2]!.length;
}

function nameOf(tag: Tag): string {
  return 'path' in tag ? tag.path : 'when';
}
