import { STEP_NAMES } from '../document/step';
import type { FieldDesk } from './fieldDesk';

/** What can be written at a place of a tag, and from where on it takes the place of what stands there. */
export interface Completions {
  from: number;
  words: { word: string; says?: string }[];
}

/**
 * What the text form may go on with where the cursor stands: paths behind `{{`, `{{#` and `{{^`, steps behind a `|`, passages behind
 * `{{>`. Undefined outside of a tag.
 * @param line the line up to the cursor
 */
export function completionsIn(
  line: string,
  fields: FieldDesk,
  passages: readonly string[],
): Completions | undefined {
  const open = line.lastIndexOf('{{');
  if (open < 0 || line.indexOf('}}', open) >= 0 || line[open - 1] === '\\') return undefined;
  const tag = line.slice(open + 2);
  if (tag.startsWith('>'))
    return { from: afterSpaces(line, open + 3), words: passages.map((word) => ({ word })) };
  const bar = tag.lastIndexOf('|');
  if (bar >= 0)
    return { from: afterSpaces(line, open + 2 + bar + 1), words: STEP_NAMES.map((word) => ({ word })) };
  const path = /^[#^]?(?:when )?\s*([\w.]*)$/.exec(tag)?.[1];
  if (path === undefined) return undefined;
  const words = fields
    .fieldsAt([])
    .flatMap(({ title, unreachable, fields: all }) =>
      unreachable === undefined
        ? all.map((field) => ({ word: field.path, says: `${title}, ${field.label}` }))
        : [],
    );
  return { from: line.length - path.length, words: [...words, { word: 'signature' }] };
}

function afterSpaces(line: string, at: number): number {
  let from = at;
  while (line[from] === ' ') from++;
  return from;
}
