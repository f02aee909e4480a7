'use client';

import { useState } from 'react';
import type { GroupedTemplates } from '../../../core/contract/list';
import { GroupInitial } from '../GroupInitial';
import { GroupForm } from './GroupForm';
import { RemoveGroup } from './RemoveGroup';

interface Props {
  group: GroupedTemplates;
  others: readonly GroupedTemplates[];
  isFirst: boolean;
  isLast: boolean;
  onShift: (by: number) => void;
  onDone: (words: string) => void;
}

/** A group's heading in the contents, with what can be done with the group. */
export function GroupBar({ group, others, isFirst, isLast, onShift, onDone }: Props) {
  const [open, setOpen] = useState<'form' | 'removal'>();
  const { key, name, initial, tint } = group;
  const close = () => setOpen(undefined);
  return (
    <>
      <div className="contents-head">
        <GroupInitial initial={initial} tint={tint} />
        <h2>{name}</h2>
        {key !== '' && (
          <button
            type="button"
            className="btn btn-link"
            aria-label={`Change ${name}`}
            aria-expanded={open !== undefined}
            onClick={() => setOpen(open ? undefined : 'form')}
          >
            Change
          </button>
        )}
      </div>
      {open === 'form' && (
        <GroupForm
          key={group.version}
          group={group}
          acts={
            <>
              <button type="button" className="btn btn-link" disabled={isFirst} onClick={() => onShift(-1)}>
                Move up
              </button>
              <button type="button" className="btn btn-link" disabled={isLast} onClick={() => onShift(1)}>
                Move down
              </button>
              <button type="button" className="btn btn-link" onClick={() => setOpen('removal')}>
                Remove
              </button>
            </>
          }
          onClose={close}
          onDone={() => {
            close();
            onDone('The group is changed.');
          }}
        />
      )}
      {open === 'removal' && (
        <RemoveGroup
          group={group}
          others={others}
          onClose={close}
          onDone={(words) => {
            close();
            onDone(words);
          }}
        />
      )}
    </>
  );
}
