import type { ListedEntry } from '../contract/list';

/**
 * Which templates are shown: all, those that are so, those that start from a kind of record, as it is called, or those that have a
 * passage, by its key.
 */
export type Narrowing = 'all' | 'resting' | 'unfinished' | 'mine' | `from ${string}` | `has ${string}`;

/** The order they stand in: as the owner put them, or by their use. */
export type Sorting = 'by hand' | 'by last use' | 'by use';

/** The templates that a narrowing leaves, in an order. Those that were used alike stay as they were put. */
export function narrowTemplates(
  templates: readonly ListedEntry[],
  narrowing: Narrowing,
  sorting: Sorting,
): readonly ListedEntry[] {
  const left = narrowing === 'all' ? templates : templates.filter((one) => isLeft(one, narrowing));
  switch (sorting) {
    case 'by hand':
      return left;
    case 'by last use':
      return left.toSorted((a, b) => (b.lastUsed?.at ?? '').localeCompare(a.lastUsed?.at ?? ''));
    case 'by use':
      return left.toSorted((a, b) => b.letters - a.letters);
  }
}

function isLeft(
  { resting, unfinished, mine, startsFrom, passages = [] }: ListedEntry,
  narrowing: Narrowing,
): boolean {
  switch (narrowing) {
    case 'all':
      return true;
    case 'resting':
      return resting ?? false;
    case 'unfinished':
      return (unfinished ?? 0) > 0;
    case 'mine':
      return mine ?? false;
    default:
      return narrowing === `from ${startsFrom}` || passages.some((key) => narrowing === `has ${key}`);
  }
}

/** What is to be said of a template beside its name, besides what it starts from. */
export function templateState({ resting, unfinished, mine }: ListedEntry): string[] {
  return [
    ...(resting ? ['resting'] : []),
    ...(mine ? ['mine alone'] : []),
    ...(unfinished ? [unfinished === 1 ? 'one part unfinished' : `${unfinished} parts unfinished`] : []),
  ];
}

/** How often a template was used, in words. */
export function templateUse({ letters, lastUsed }: ListedEntry): string {
  if (letters === 0) return 'never used';
  const count = letters === 1 ? 'one letter' : `${letters} letters`;
  return lastUsed ? `${count}, the last ${lastUsed.words}` : count;
}
