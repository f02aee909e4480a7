'use client';

import { useRouter } from 'next/navigation';
import { createPortal } from 'react-dom';
import type { LetterForTemplate } from '../../core/contract/fromLetter';
import { templateWords } from '../../core/recognise/templateWords';
import type { Shorthand } from '../../core/template/template';
import type { CursorPlace } from '../editor/AtCursor';
import type { LetterEditor } from '../editor/letterEditor';
import { handOver } from '../templates/fromLetter/handedOver';
import ShorthandChoice from '../editor/ShorthandChoice';
import type { LetterStore } from './letterStore';

interface Props {
  store: LetterStore;
  editor: LetterEditor;
  /** where the list is; absent: it is closed */
  at: CursorPlace | undefined;
  onAt: (at: CursorPlace | undefined) => void;
  /** why a shorthand cannot stand there; absent: it can */
  whyNot: string | undefined;
}

const NONE: readonly Shorthand[] = [];

/** What can be done with the words of a letter beside sending them: shorthand is listed at the cursor; a template is made of it. */
export default function UnderLetter({ store, editor, at, onAt, whyNot }: Props) {
  const { facts, context } = store.desk;
  const router = useRouter();
  const all = facts.shorthand ?? NONE;
  const close = () => {
    onAt(undefined);
    editor.focus();
  };
  return (
    <>
      {whyNot !== undefined && (
        <p className="trouble" role="alert">
          {whyNot}
        </p>
      )}
      <p className="under-letter">
        {all.length > 0 && (
          <button
            type="button"
            className="btn btn-link"
            title="Ctrl or Cmd + J"
            aria-haspopup="dialog"
            onClick={() => onAt(editor.cursor())}
          >
            Shorthand
          </button>
        )}
        <button
          type="button"
          className="btn btn-link"
          onClick={() => {
            const letter = letterOf(store);
            if (letter && handOver(letter)) router.push('/templates/from-letter?written');
          }}
        >
          Make a template of it
        </button>
      </p>
      {at &&
        createPortal(
          <ShorthandChoice
            all={all}
            startsFrom={store.start.kind}
            context={context}
            passages={facts.passages}
            at={at}
            onChoose={(shorthand) => {
              onAt(undefined);
              editor.put(shorthand);
            }}
            onClose={close}
          />,
          document.body,
        )}
    </>
  );
}

/** The letter as it stands on the page, as one that a template is made of. */
function letterOf(store: LetterStore): LetterForTemplate | undefined {
  const now = store.now();
  if (!now) return undefined;
  const { client } = now.filled.situation;
  return {
    ...templateWords(now.document),
    start: store.start,
    at: store.desk.facts.now,
    member: store.desk.facts.member,
    to: client?.record.name ?? client?.record.email ?? 'somebody',
    day: 'as it is being written',
    told: now.filled.notes.map(({ path, value }) => ({ path, value })),
  };
}
