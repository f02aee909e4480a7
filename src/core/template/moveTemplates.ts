/** A group, or what has none under the key "", with the keys of its templates in their order. */
export interface GroupOfKeys {
  key: string;
  templates: readonly string[];
}

/** Where something is put: into which group, and before which template; absent: behind all. */
export interface PlaceAmong {
  group: string;
  before?: string;
}

/**
 * Moves templates into a group, before another of it, in the order in which they stood. Groups that stay as they are are the
 * same objects. Where the template before which they come is one of them, they come before the next that is not.
 */
export function moveTemplates<Group extends GroupOfKeys>(
  groups: readonly Group[],
  moved: ReadonlySet<string>,
  { group: into, before }: PlaceAmong,
): Group[] {
  const inOrder = groups.flatMap(({ templates }) => templates.filter((key) => moved.has(key)));
  return groups.map((group) => {
    const others = group.templates.filter((key) => !moved.has(key));
    if (group.key !== into)
      return others.length === group.templates.length ? group : { ...group, templates: others };
    const place = before === undefined ? -1 : group.templates.indexOf(before);
    const next = place < 0 ? undefined : group.templates.slice(place).find((key) => !moved.has(key));
    const at = next === undefined ? others.length : others.indexOf(next);
    const templates = [...others.slice(0, at), ...inOrder, ...others.slice(at)];
    return templates.every((key, i) => key === group.templates[i]) &&
      templates.length === group.templates.length
      ? group
      : { ...group, templates };
  });
}
