'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, useState } from 'react';
import type { CustomFieldData } from '../../core/records/recordsFile';
import { columnWords } from '../../core/bringing/table/columnWords';
import { BroughtRowView } from './BroughtRowView';
import type { ReadRow } from './messages';
import type { Brought, BroughtFile } from './useBroughtFile';

const SHOWN = ['doubtful', 'there', 'all'] as const;
type Shown = (typeof SHOWN)[number];

/** Which rows are listed, by their places, and for what. */
interface View {
  key: string;
  isFound: boolean;
  listed: number[];
}

interface Props {
  file: BroughtFile;
  brought: Brought;
  fields: readonly CustomFieldData[];
}

/** The rows of a file, those to be looked at first. Which are shown stays while they are mended. */
export function RowList({ file, brought, fields }: Props) {
  const [shown, setShown] = useState<Shown>('doubtful');
  const [looked, setLooked] = useState(0);
  const { stateOf } = brought;
  const counts = useMemo(() => {
    let [doubtful, there] = [0, 0];
    for (const row of file.rows) {
      const { state } = stateOf(row);
      if (state === 'there') there++;
      else if (isDoubtful(row, state)) doubtful++;
    }
    return { doubtful, there, all: file.rows.length };
  }, [file.rows, stateOf]);
  // What was mended or decided stays where it is until it is looked anew.
  const key = [shown, looked, file.name, file.kind, file.rows.length].join(' ');
  const isFound = brought.busy === undefined;
  const isTouched = (row: number) =>
    [brought.mendsOf(row), brought.decisionOf(row)].some((said) => Object.keys(said).length > 0);
  const [view, setView] = useState<View>({ key: '', isFound, listed: [] });
  if (view.key !== key || view.isFound !== isFound) {
    const before = new Set(view.key === key ? view.listed : []);
    const listed = file.rows.flatMap((row, at) => {
      const { state } = stateOf(row);
      const isIn = shown === 'all' || (shown === 'there' ? state === 'there' : isDoubtful(row, state));
      return isIn || (before.has(at) && isTouched(row.row)) ? [at] : [];
    });
    setView({ key, isFound, listed });
  }
  const { listed } = view;
  const words: Record<Shown, string> = {
    doubtful: `${counts.doubtful} to look at`,
    there: `${counts.there} there already`,
    all: `All ${counts.all}`,
  };
  return (
    <section aria-label="Rows">
      <div className="row-choice" role="group" aria-label="Which rows are shown">
        {SHOWN.map((one) => (
          <button
            key={one}
            type="button"
            className="btn btn-link"
            aria-pressed={shown === one}
            onClick={() => {
              setShown(one);
              setLooked((n) => n + 1);
            }}
          >
            {words[one]}
          </button>
        ))}
      </div>
      {listed.length === 0 ? (
        <p className="hint">
          {shown === 'there' ? 'None of them is there already.' : 'Nothing here needs to be looked at.'}
        </p>
      ) : (
        <Rows key={view.key} {...{ file, brought, fields, listed }} label={words[shown]} />
      )}
    </section>
  );
}

/** The rows in view of those that are listed, by their places. */
function Rows({
  file,
  brought,
  fields,
  listed,
  label,
}: Props & { listed: readonly number[]; label: string }) {
  const scroller = useRef<HTMLDivElement>(null);
  const drawn = useVirtualizer({
    count: listed.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 120,
    getItemKey: (at) => file.rows[listed[at]!]?.row ?? at,
    overscan: 6,
  });
  const rowWord = file.form === 'vCard' ? 'Card' : file.form === 'iCalendar' ? 'Entry' : 'Row';
  return (
    <div ref={scroller} className="brought-rows" tabIndex={0} role="region" aria-label={label}>
      <ul style={{ height: drawn.getTotalSize() }}>
        {drawn.getVirtualItems().map(({ index, start, key }) => {
          const row = file.rows[listed[index]!];
          if (!row) return null;
          return (
            <li
              key={key}
              ref={drawn.measureElement}
              data-index={index}
              style={{ transform: `translateY(${start}px)` }}
            >
              <BroughtRowView
                row={row}
                rowWord={rowWord}
                state={brought.stateOf(row)}
                mends={brought.mendsOf(row.row)}
                decision={brought.decisionOf(row.row)}
                canBeAnothers={file.kind === 'booking' || file.kind === 'invoice'}
                wordsOf={(fact) => columnWords(file.kind, fact, fields)}
                onMend={(fact, said) => brought.mend(row.row, fact, said)}
                onDecide={(decision) => brought.decide(row.row, decision)}
              />
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function isDoubtful(row: ReadRow, state: string): boolean {
  return state === 'unclear' || (state === 'comes' && row.doubts.length > 0);
}
