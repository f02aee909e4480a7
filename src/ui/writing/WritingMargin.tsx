'use client';

import { memo, type RefObject } from 'react';
import { marginGroups } from '../../core/writing/marginGroups';
import { AnotherRecord } from '../margin/AnotherRecord';
import { Margin } from '../margin/Margin';
import { lazyPart } from '../shell/lazyPart';
import type { LetterStore } from './letterStore';
import type { LetterView } from './letterView';

const NoteBody = lazyPart(() => import('../margin/NoteBody'));

interface Props {
  view: LetterView;
  store: LetterStore;
  chosen: string | undefined;
  onChoose: (id: string | undefined) => void;
  onDone: () => void;
  /** a fact was put right where it is kept */
  onPutRight: () => void;
  page: RefObject<HTMLElement | null>;
}

/** The margin of a letter that is being written: its notes can be acted on. */
export const WritingMargin = memo(function WritingMargin({
  view,
  store,
  onDone,
  onPutRight,
  ...margin
}: Props) {
  return (
    <Margin
      {...margin}
      groups={marginGroups(view.notes, view.filled)}
      another={({ record, title }) => (
        <AnotherRecord record={record} title={title} filled={view.filled} store={store} />
      )}
      body={(note) => (
        <NoteBody note={note} filled={view.filled} store={store} onDone={onDone} onPutRight={onPutRight} />
      )}
    />
  );
});
