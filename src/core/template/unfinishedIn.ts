import { eachPart } from '../document/eachPart';
import { passagesIn } from './passagesIn';
import type { Passage, Template } from './template';

type Words = Pick<Template, 'document'> & { head?: Pick<Template['head'], 'subject'> };

/** How many made-up parts of a template, or a passage, are still to be replaced: a letter with one cannot go. */
export function unfinishedIn({ head, document }: Words): number {
  let count = 0;
  for (const { part } of eachPart([...(head?.subject ?? []), ...document.content]))
    if (part.type === 'unfinished') count++;
  return count;
}

/** The same for each passage by its key, with what stands in it. */
export function unfinishedInPassages(passages: readonly Passage[]): ReadonlyMap<string, number> {
  const byKey = new Map(passages.map((passage) => [passage.key, passage]));
  return new Map(
    passages.map(({ key }) => {
      // A passage that is met twice, or holds itself, has its parts once.
      const met = new Set<string>([key]);
      let count = 0;
      for (const one of met) {
        const passage = byKey.get(one);
        if (!passage) continue;
        count += unfinishedIn(passage);
        for (const inner of passagesIn(passage)) met.add(inner);
      }
      return [key, count];
    }),
  );
}
