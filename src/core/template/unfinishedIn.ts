import { eachPart } from '../document/eachPart';
import type { Template } from './template';

/** How many made-up parts of a template are still to be replaced: a letter with one cannot go. */
export function unfinishedIn({ head, document }: Template): number {
  let count = 0;
  for (const { part } of eachPart([...head.subject, ...document.content]))
    if (part.type === 'unfinished') count++;
  return count;
}
