'use client';

import { createPortal } from 'react-dom';
import { beginning } from '../../core/describe/pencilTokens';
import { labelsOf } from '../../core/fill/describe/labels';
import type { Shorthand } from '../../core/template/template';
import type { CursorPlace } from '../editor/AtCursor';
import type { LetterEditor } from '../editor/letterEditor';
import ShorthandChoice from '../editor/ShorthandChoice';
import type { LetterStore } from './letterStore';

interface Props {
  store: LetterStore;
  editor: LetterEditor;
  /** where the list is; absent: it is closed */
  at: CursorPlace | undefined;
  onAt: (at: CursorPlace | undefined) => void;
}

/** All that is typed short in a letter: a press, or a key, lists it at the cursor. */
export default function LetterShorthand({ store, editor, at, onAt }: Props) {
  const { facts, context } = store.desk;
  const all = facts.shorthand ?? [];
  const close = () => {
    onAt(undefined);
    editor.focus();
  };
  const begins = ({ document }: Shorthand) => {
    const head = { name: '', group: '', startsFrom: store.start.kind, subject: [] };
    return beginning(document, { labels: labelsOf({ head, document }, context), passages: facts.passages });
  };
  return (
    <>
      {all.length > 0 && (
        <p className="shorthand-open">
          <button
            type="button"
            className="btn btn-link"
            title="Ctrl or Cmd + J"
            aria-haspopup="dialog"
            onClick={() => onAt(editor.cursor())}
          >
            Shorthand
          </button>
        </p>
      )}
      {at &&
        createPortal(
          <ShorthandChoice
            all={all}
            begins={begins}
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
