'use client';

import { useId, useMemo, useState } from 'react';
import { beginning } from '../../core/describe/pencilTokens';
import type { CompileContext } from '../../core/fill/compile/newScope';
import { labelsOf } from '../../core/fill/describe/labels';
import type { StartingKind } from '../../core/records/recordKind';
import type { Passage, Shorthand } from '../../core/template/template';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { AtCursor, ListField, type CursorPlace } from './AtCursor';

interface Props {
  all: readonly Shorthand[];
  /** what its words are said by */
  startsFrom: StartingKind;
  context: CompileContext;
  passages: readonly Passage[];
  /** where the cursor is in the window */
  at: CursorPlace;
  onChoose: (shorthand: Shorthand) => void;
  onClose: () => void;
}

/** All that is typed short, at the cursor: found by its characters, its words and its group, and put in. */
export default function ShorthandChoice({
  all,
  startsFrom,
  context,
  passages,
  at,
  onChoose,
  onClose,
}: Props) {
  const [wanted, setWanted] = useState('');
  const [marked, setMarked] = useState(0);
  const id = useId();
  /** each with its first words, made ready once for all keys */
  const ready = useMemo(
    () =>
      all.map((shorthand) => {
        const { name, group = '', document } = shorthand;
        const head = { name: '', group: '', startsFrom, subject: [] };
        const begins = beginning(document, { labels: labelsOf({ head, document }, context), passages });
        return { shorthand, begins, said: searchable(name, begins, group) };
      }),
    [all, startsFrom, context, passages],
  );
  const words = wordsWanted(wanted);
  const shown = ready.filter(({ said }) => hasWords(said, words));
  const chosen = shown[marked]?.shorthand;
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
        onTake={() => chosen && onChoose(chosen)}
        onClose={onClose}
      />
      <ul id={`${id}-list`} role="listbox" aria-label="Shorthand">
        {shown.map(({ shorthand, begins }, i) => (
          <li
            key={shorthand.key}
            ref={(element) => {
              if (i === marked) element?.scrollIntoView({ block: 'nearest' });
            }}
            id={`${id}-${i}`}
            role="option"
            aria-selected={i === marked}
            onPointerDown={(event) => event.preventDefault()}
            onClick={() => onChoose(shorthand)}
          >
            <span>{shorthand.name}</span>
            <span className="field-list-says">{begins}</span>
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
