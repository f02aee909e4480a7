'use client';

import { memo, useCallback, useDeferredValue, useEffect, useId, useMemo, useRef, useState } from 'react';
import type { FieldGroup, OfferedField } from '../../../core/fields/fieldsAt';
import { findFields, type FoundField } from '../../../core/fields/findFields';
import { AtCursor, ListField, type CursorPlace } from '../../editor/AtCursor';

interface Props {
  groups: readonly FieldGroup[];
  /** what a field says for the record in view; undefined: nothing */
  says: (field: OfferedField) => string | undefined;
  /** where the cursor is in the window */
  at: CursorPlace;
  /** whether a field can be chosen here; all where absent */
  fits?: (field: OfferedField) => boolean;
  onChoose: (field: OfferedField) => void;
  onClose: () => void;
}

/** So many are shown; more are found by another word. */
const MOST = 24;
const IN_SIGHT = 16;
const nothing = () => undefined;

/** The list of fields at the cursor: by record at first, then by what is wanted for, each with what it says. */
export function FieldList({ groups, says, at, fits, onChoose, onClose }: Props) {
  const [wanted, setWanted] = useState('');
  const [marked, setMarked] = useState(0);
  // A key is on the page before the list has followed.
  const search = useDeferredValue(wanted);
  const find = useCallback(
    (words: string) => findFields(groups, words).filter(({ field }) => fits?.(field) ?? true),
    [groups, fits],
  );
  const found = useMemo(() => find(search), [find, search]);
  const shown = search.trim() ? found.slice(0, MOST) : found;
  // What is in sight is told at once, the rest a moment later.
  const rest = useDeferredValue(true, false);
  const list = useRef<HTMLUListElement>(null);
  const id = useId();

  useEffect(() => {
    list.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [marked, shown]);

  const choose = useCallback(
    (one: FoundField | undefined) => {
      if (one && !one.group.unreachable) onChoose(one.field);
    },
    [onChoose],
  );
  return (
    <AtCursor label="Smart fields" at={at} onClose={onClose}>
      <ListField
        list={id}
        label="Find a field"
        placeholder="What should stand here? when, how much, their street …"
        count={shown.length}
        marked={marked}
        wanted={wanted}
        onWant={setWanted}
        onMark={setMarked}
        // Whoever types faster than the list follows means what they typed.
        onTake={() => choose((search === wanted ? shown : find(wanted))[marked])}
        onClose={onClose}
      />
      <ul ref={list} id={`${id}-list`} role="listbox" aria-label="Fields">
        {shown.map((one, i) => (
          <FieldEntry
            key={`${one.group.title} ${one.field.path}`}
            id={`${id}-${i}`}
            group={one.group}
            field={one.field}
            heads={search.trim() === '' && one.group !== shown[i - 1]?.group}
            whose={search.trim() !== ''}
            marked={i === marked}
            says={rest || i < IN_SIGHT ? says : nothing}
            onPress={choose}
          />
        ))}
      </ul>
      {shown.length === 0 && <p className="hint">No field is called so. Try another word.</p>}
      {found.length > shown.length && (
        <p className="hint">{found.length - shown.length} more: say more of it.</p>
      )}
    </AtCursor>
  );
}

interface EntryProps {
  id: string;
  group: FieldGroup;
  field: OfferedField;
  /** whether the name of its record stands above it */
  heads: boolean;
  /** whether it says whose it is */
  whose: boolean;
  marked: boolean;
  says: Props['says'];
  onPress: (one: FoundField) => void;
}

const FieldEntry = memo(function FieldEntry({
  id,
  group,
  field,
  heads,
  whose,
  marked,
  says,
  onPress,
}: EntryProps) {
  const said = group.unreachable === undefined ? says(field) : undefined;
  return (
    <>
      {heads && (
        <li role="presentation" className="field-list-title">
          {group.title}
          {group.unreachable && <span> {group.unreachable}</span>}
        </li>
      )}
      <li
        id={id}
        role="option"
        aria-selected={marked}
        aria-disabled={group.unreachable !== undefined}
        title={field.description}
        onPointerDown={(event) => event.preventDefault()}
        onClick={() => onPress({ group, field })}
      >
        <span>
          {whose && <span className="field-list-whose">{group.title}, </span>}
          {field.label}
        </span>
        <span className="field-list-says">{said ?? (whose && group.unreachable) ?? ''}</span>
      </li>
    </>
  );
});
