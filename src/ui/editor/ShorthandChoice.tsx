'use client';

import { useId, useState } from 'react';
import type { Shorthand } from '../../core/template/template';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { AtCursor, ListField, type CursorPlace } from './AtCursor';

interface Props {
  all: readonly Shorthand[];
  /** its first words */
  begins: (shorthand: Shorthand) => string;
  /** where the cursor is in the window */
  at: CursorPlace;
  onChoose: (shorthand: Shorthand) => void;
  onClose: () => void;
}

/** All that is typed short, at the cursor: found by its characters, its words and its group, and put in. */
export default function ShorthandChoice({ all, begins, at, onChoose, onClose }: Props) {
  const [wanted, setWanted] = useState('');
  const [marked, setMarked] = useState(0);
  const id = useId();
  const words = wordsWanted(wanted);
  const shown = all.filter((one) =>
    hasWords(searchable(`${one.name} ${begins(one)} ${one.group ?? ''}`), words),
  );
  return (
    <AtCursor label="Shorthand" at={at} onClose={onClose}>
      <ListField
        list={id}
        label="Find a shorthand"
        placeholder="Its characters, or what it says"
        count={shown.length}
        marked={marked}
        wanted={wanted}
        onWant={setWanted}
        onMark={setMarked}
        onTake={() => shown[marked] && onChoose(shown[marked])}
        onClose={onClose}
      />
      <ul id={`${id}-list`} role="listbox" aria-label="Shorthand">
        {shown.map((one, i) => (
          <li
            key={one.key}
            ref={(element) => {
              if (i === marked) element?.scrollIntoView({ block: 'nearest' });
            }}
            id={`${id}-${i}`}
            role="option"
            aria-selected={i === marked}
            onPointerDown={(event) => event.preventDefault()}
            onClick={() => onChoose(one)}
          >
            <span>{one.name}</span>
            <span className="field-list-says">{begins(one)}</span>
          </li>
        ))}
      </ul>
      {all.length === 0 && (
        <p className="hint">There is none yet: it is written under Templates, Shorthand.</p>
      )}
      {all.length > 0 && shown.length === 0 && <p className="hint">None is called so, or says so.</p>}
    </AtCursor>
  );
}
