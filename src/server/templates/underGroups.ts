import { WITHOUT_GROUP, type GroupHead } from '../../core/contract/list';

/** Templates under their groups, both in their order; those without a group come last under a heading of their own. */
export function underGroups<Template extends { group_id: string | null }, Shown>(
  groups: readonly (GroupHead & { id: string })[],
  templates: readonly Template[],
  shown: (template: Template) => Shown,
): (GroupHead & { templates: Shown[] })[] {
  const under = (id: string | null) => templates.filter(({ group_id }) => group_id === id).map(shown);
  const loose = under(null);
  return [
    ...groups.map(({ id, key, version, name, initial, tint }) => ({
      key,
      version,
      name,
      initial,
      tint,
      templates: under(id),
    })),
    ...(loose.length ? [{ ...WITHOUT_GROUP, templates: loose }] : []),
  ];
}
