'use client';

import { memo, useCallback, useDeferredValue, useEffect, useId, useMemo, useRef, useState } from 'react';
import type { FieldGroup, OfferedField } from '../../../core/fields/fieldsAt';
import { findFields, type FoundField } from '../../../core/fields/findFields';

interface Props {
  groups: readonly FieldGroup[];
  /** what a field says for the record in view; undefined: nothing */
  says: (field: OfferedField) => string | undefined;
  /** where the cursor is in the window */
  at: { left: number; top: number; bottom: number };
  /** whether a field can be chosen here; all where absent */
  fits?: (field: OfferedField) => boolean;
  onChoose: (field: OfferedField) => void;
  onClose: () => void;
}

/** So many are shown; more are found by another word. */
const MOST = 24;
const IN_SIGHT = 16;
const nothing = () => undefined;
const WIDTH = 400;
const HEIGHT = 340;

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
  const box = useRef<HTMLDivElement>(null);
  const id = useId();

  useEffect(() => {
    list.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [marked, shown]);

  useEffect(() => {
    const press = (event: PointerEvent) => {
      if (!box.current?.contains(event.target as Node)) onClose();
    };
    document.addEventListener('pointerdown', press);
    return () => document.removeEventListener('pointerdown', press);
  }, [onClose]);

  const choose = useCallback(
    (one: FoundField | undefined) => {
      if (one && !one.group.unreachable) onChoose(one.field);
    },
    [onChoose],
  );
  const above = at.bottom + HEIGHT > window.innerHeight && at.top > HEIGHT;
  return (
    <div
      ref={box}
      className="field-list"
      role="dialog"
      aria-label="Smart fields"
      style={{
        left: Math.max(8, Math.min(at.left, window.innerWidth - WIDTH - 8)),
        ...(above ? { bottom: window.innerHeight - at.top + 4 } : { top: at.bottom + 4 }),
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          event.stopPropagation();
          onClose();
        }
      }}
    >
      <input
        className="form-control"
        type="search"
        role="combobox"
        aria-expanded="true"
        aria-controls={`${id}-list`}
        aria-activedescendant={shown[marked] ? `${id}-${marked}` : undefined}
        aria-label="Find a field"
        placeholder="What should stand here? when, how much, their street …"
        autoFocus
        value={wanted}
        onChange={(event) => {
          setWanted(event.target.value);
          setMarked(0);
        }}
        onKeyDown={(event) => {
          if (event.nativeEvent.isComposing) return;
          const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 8, PageUp: -8 }[event.key];
          if (step) {
            event.preventDefault();
            setMarked((now) => Math.max(0, Math.min(shown.length - 1, now + step)));
          } else if (event.key === 'Enter') {
            event.preventDefault();
            // Whoever types faster than the list follows means what they typed.
            choose((search === wanted ? shown : find(wanted))[marked]);
          } else if (event.key === 'Tab') {
            event.preventDefault();
            onClose();
          }
        }}
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
      <button type="button" className="btn btn-link field-list-close" onClick={onClose}>
        Close
      </button>
    </div>
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
