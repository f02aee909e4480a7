'use client';

import { useRef, useState } from 'react';
import { NO_GROUP } from '../../../core/contract/groups';
import { byName } from '../../../core/template/naming';
import type { Called } from '../../../core/template/template';
import { MakeGroup } from '../arrange/MakeGroup';
import { Choice } from './HeadControls';

interface Props {
  /** as the head names it */
  group: string;
  groups: readonly Called[];
  /** a group was made, before it is chosen */
  onMade: (group: Called) => void;
  onChange: (group: string) => void;
}

/** No name: the spaces of a name are trimmed. */
const NEW = ' new';

/** The group that a template stands in: one that is there, none, or one that is made here. */
export function GroupChoice({ group, groups, onMade, onChange }: Props) {
  const [making, setMaking] = useState(false);
  const place = useRef<HTMLDivElement>(null);
  return (
    <div ref={place}>
      <Choice
        label="Group"
        value={making ? NEW : (byName(groups).get(group)?.name ?? group)}
        options={[
          ...groups.map(({ name }) => [name, name] as const),
          [NO_GROUP, 'no group'],
          [NEW, 'A new group …'],
        ]}
        onChange={(chosen) => {
          setMaking(chosen === NEW);
          if (chosen !== NEW) onChange(chosen);
        }}
      />
      {making && (
        <MakeGroup
          button="Make it"
          autoFocus
          onMade={({ name }) => {
            setMaking(false);
            onMade({ name });
            onChange(name);
            place.current?.querySelector('select')?.focus();
          }}
        />
      )}
    </div>
  );
}
