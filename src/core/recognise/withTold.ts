import { CERTAIN, isOtherForm, type Find, type Said } from './find';

/** What fields of a letter said when it was filled. */
export interface ToldFact {
  path: string;
  /** in words */
  value: string;
}

/** What a field said is as certain as this where the same words stand. */
const TOLD = Math.max(CERTAIN, 0.95);

/** The finds of a letter whose fields are known: which of several facts some words are was never in doubt. */
export function withTold(finds: readonly Find[], told: readonly ToldFact[]): Find[] {
  const paths = new Map<string, Set<string>>();
  for (const { path, value } of told) paths.set(value, (paths.get(value) ?? new Set()).add(path));
  return finds.map((find) => {
    const said = paths.get(find.words);
    const meant = said && [find, ...find.others].find((one) => said.has(one.path));
    if (!meant || isOtherForm({ ...find, says: meant.says })) return find;
    const others = [asSaid(find), ...find.others].filter((one) => one.path !== meant.path);
    return { ...find, ...asSaid(meant), certainty: Math.max(find.certainty, TOLD), others };
  });
}

function asSaid({ path, steps, says, label }: Said): Said {
  return { path, steps, says, label };
}
