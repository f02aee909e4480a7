import type { ReactNode } from 'react';
import { WITHOUT_GROUP, type GroupHead } from '../../../core/contract/list';
import { GroupInitial } from '../GroupInitial';

interface Props<One> {
  all: readonly One[];
  groups: readonly GroupHead[];
  /** an entry of the list */
  children: (one: One) => ReactNode;
}

/** What stands in groups as templates do, under them; one group alone needs no name. */
export function UnderGroups<One extends { key: string; group: string | null }>({
  all,
  groups,
  children,
}: Props<One>) {
  const sorted = [...groups.filter(({ key }) => key), WITHOUT_GROUP]
    .map((group) => ({ ...group, own: all.filter((one) => (one.group ?? '') === group.key) }))
    .filter(({ own }) => own.length > 0);
  return sorted.map(({ key, name, initial, tint, own }) => (
    <section key={key} aria-label={name}>
      {sorted.length > 1 && (
        <h2 className="group-name">
          <GroupInitial initial={initial} tint={tint} />
          {name}
        </h2>
      )}
      <ul className="passage-list">
        {own.map((one) => (
          <li key={one.key}>{children(one)}</li>
        ))}
      </ul>
    </section>
  ));
}
