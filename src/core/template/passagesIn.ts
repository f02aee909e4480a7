import { eachPart } from '../document/eachPart';
import type { Template } from './template';

/** The passages that stand in a template, or a passage, by their keys, each once. */
export function passagesIn({
  head,
  document,
}: Pick<Template, 'document'> & { head?: Pick<Template['head'], 'subject'> }): string[] {
  const keys = new Set<string>();
  for (const { part } of eachPart([...(head?.subject ?? []), ...document.content]))
    if (part.type === 'passage') keys.add(part.attrs.passage);
  return [...keys];
}
