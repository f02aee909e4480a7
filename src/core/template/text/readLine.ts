import type { Inline, Line } from '../../document/templateDocument';
import type { PlaceFinder, Places, Problem } from '../../problems/problem';
import { scanTags } from '../tags/scanTags';
import type { StructureTag } from '../tags/tag';
import { pairTags } from './pairTags';

/** Reads a subject, a header or an address: words and tags, no Markdown. */
export function readLine(text: string, lines: PlaceFinder, places: Places, problems: Problem[]): Line {
  const run: (Inline | StructureTag)[] = [];
  for (const segment of scanTags(text, lines, places, problems)) {
    if (segment.kind === 'tag') run.push(segment.tag);
    else appendText(run, segment.kind === 'literal' ? '{{' : text.slice(segment.start, segment.end));
  }
  return pairTags(run, places, problems);
}

function appendText(run: (Inline | StructureTag)[], text: string): void {
  const last = run.at(-1);
  if (last?.type === 'text') last.text += text;
  else run.push({ type: 'text', text });
}
