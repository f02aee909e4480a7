import type { ListedGroup } from '../../core/contract/writing';

type Group = Pick<ListedGroup, 'key' | 'name' | 'initial' | 'tint'>;

/** Templates under their groups, both in their order; those without a group come last under a heading of their own. */
export function underGroups<Template extends { group_id: string | null }, Shown>(
  groups: readonly (Group & { id: string })[],
  templates: readonly Template[],
  shown: (template: Template) => Shown,
): (Group & { templates: Shown[] })[] {
  const under = (id: string | null) => templates.filter(({ group_id }) => group_id === id).map(shown);
  const loose = under(null);
  return [
    ...groups.map(({ id, key, name, initial, tint }) => ({ key, name, initial, tint, templates: under(id) })),
    ...(loose.length
      ? [{ key: '', name: 'Without a group', initial: '–', tint: 'slate', templates: loose }]
      : []),
  ];
}
