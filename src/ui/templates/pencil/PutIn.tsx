'use client';

import { useRef, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { clauseOf } from '../../../core/fields/clauseOf';
import { onlyWhen, putBlock } from '../../editor/structureCommands';
import { changeTable, type TableAct } from '../../editor/tableCommands';
import type { PageKind } from '../../editor/pageKind';
import { putTag } from '../../editor/templateCommands';
import type { TemplateEditor } from '../../editor/templateEditor';
import { FileInput } from '../../files/FileInput';
import { BlankForm } from './BlankForm';
import { ListingForm } from './ListingForm';
import type { PencilTools } from './pencilTools';

interface Props {
  editor: TemplateEditor;
  facts: WordsFacts;
  tools: PencilTools;
  kind: PageKind;
  /** whether the cursor is in a table */
  inTable: boolean;
  onField: () => void;
  onShorthand: () => void;
  onPicture: (file: File) => void;
}

type Asked = 'a listing' | 'a blank' | 'a passage' | 'something else' | 'a row or column' | 'HTML';

const TABLE_CHOICES: readonly [TableAct, string][] = [
  ['row below', 'Row below'],
  ['row up', 'Move the row up'],
  ['row down', 'Move the row down'],
  ['column beside', 'Column beside'],
  ['column left', 'Move the column to the left'],
  ['column right', 'Move the column to the right'],
  ['row out', 'Take the row out'],
  ['column out', 'Take the column out'],
  ['table out', 'Take the table out'],
];

/** What can be put in where the cursor is: always in sight, at the foot of the page. */
export function PutIn({ editor, facts, tools, kind, inTable, onField, onShorthand, onPicture }: Props) {
  const [asked, setAsked] = useState<Asked>();
  const [refused, setRefused] = useState<string>();
  const files = useRef<HTMLInputElement>(null);
  const { editor: page } = editor;
  const done = () => {
    setAsked(undefined);
    editor.focus();
  };
  const tell = (is: boolean) => setRefused(is ? undefined : 'This cannot stand where the cursor is.');
  const tag = (node: { type: string; attrs?: object }) => {
    tell(putTag(page, node));
    done();
  };
  const block = (node: object) => {
    putBlock(page, node);
    done();
  };
  const short = () => {
    setAsked(undefined);
    onShorthand();
  };
  const ask = (what: Asked) => setAsked((now) => (now === what ? undefined : what));
  return (
    <>
      <Put words="Smart field" keys="Ctrl or Cmd + ., or {{" onPut={onField} />
      <Put
        words="Only when"
        onPut={() =>
          tools.want({
            at: editor.cursor(),
            around: editor.around(),
            then: ({ path, type }) => tell(onlyWhen(page, { join: 'and', clauses: [clauseOf(path, type)] })),
          })
        }
      />
      <Put words="Picture" onPut={() => files.current?.click()} />
      <FileInput
        label="Pictures"
        chooser={files}
        accept="image/png,image/jpeg,image/webp,image/gif"
        onFile={onPicture}
      />
      {kind !== 'signature' && (
        <>
          <Put words="Listing" open={asked === 'a listing'} onPut={() => ask('a listing')} />
          {kind !== 'letterhead' && (
            <>
              <Put words="Blank" open={asked === 'a blank'} onPut={() => ask('a blank')} />
              <Put words="Passage" open={asked === 'a passage'} onPut={() => ask('a passage')} />
            </>
          )}
          <Put words="More" open={asked === 'something else'} onPut={() => ask('something else')} />
        </>
      )}
      {inTable && (
        <Put words="Table" open={asked === 'a row or column'} onPut={() => ask('a row or column')} />
      )}
      {refused && (
        <span role="status" className="needs-you">
          {refused}
        </span>
      )}
      {asked && (
        <Sheet title={asked === 'a row or column' ? 'The table' : `Put in ${asked}`} onClose={done}>
          {asked === 'a listing' && (
            <ListingForm
              around={editor.around()}
              tools={tools}
              onDone={(node) => (node.type === 'field' ? tag(node) : block(node))}
            />
          )}
          {asked === 'a blank' && (
            <BlankForm
              currency={facts.business.currency ?? 'GBP'}
              button="Put it in"
              onDone={(attrs) => tag({ type: 'blank', attrs })}
            />
          )}
          {asked === 'a passage' && (
            <Choices
              all={facts.passages.map(({ key, name }) => [key, name])}
              none="There are no passages yet."
              onChoose={(passage) => block({ type: 'passage', attrs: { passage } })}
            />
          )}
          {asked === 'a row or column' && (
            <Choices
              all={TABLE_CHOICES}
              onChoose={(act) => {
                changeTable(page, act as TableAct);
                done();
              }}
            />
          )}
          {asked === 'HTML' && (
            <HtmlForm
              onDone={(html) => {
                editor.pasteHtml(html);
                done();
              }}
            />
          )}
          {asked === 'something else' && (
            <Choices
              all={[
                ['gap', 'A gap, to be filled later'],
                ['table', 'A table'],
                ['rule', 'A rule across'],
                ...(kind === 'letterhead' || kind === 'shorthand'
                  ? []
                  : [['signature', 'The signature'] as const]),
                ...(facts.shorthand?.length ? [['shorthand', 'Shorthand (Ctrl or Cmd + J)'] as const] : []),
                ['html', 'HTML'],
              ]}
              onChoose={(what) => {
                if (what === 'html') setAsked('HTML');
                else if (what === 'shorthand') short();
                else if (what === 'gap') tag({ type: 'gap', attrs: { words: 'what is missing' } });
                else if (what === 'signature') block({ type: 'paragraph', content: [{ type: 'signature' }] });
                else block(what === 'table' ? EMPTY_TABLE : { type: 'rule' });
              }}
            />
          )}
        </Sheet>
      )}
    </>
  );
}

const CELLS = [{ type: 'tableCell' }, { type: 'tableCell' }];
const EMPTY_TABLE = {
  type: 'table',
  attrs: { align: [null, null] },
  content: [
    { type: 'tableRow', attrs: { header: true }, content: CELLS },
    { type: 'tableRow', content: CELLS },
  ],
};

interface PutProps {
  words: string;
  keys?: string;
  open?: boolean;
  onPut: () => void;
}

function Put({ words, keys, open, onPut }: PutProps) {
  return (
    <button
      type="button"
      className="btn btn-link"
      title={keys}
      aria-expanded={open}
      onMouseDown={(event) => event.preventDefault()}
      onClick={onPut}
    >
      {words}
    </button>
  );
}

function Choices({
  all,
  none,
  onChoose,
}: {
  all: readonly (readonly [string, string])[];
  none?: string;
  onChoose: (one: string) => void;
}) {
  if (all.length === 0) return <p className="hint">{none}</p>;
  return (
    <ul className="put-in-choices">
      {all.map(([one, words], i) => (
        <li key={one}>
          <button type="button" className="btn btn-link" autoFocus={i === 0} onClick={() => onChoose(one)}>
            {words}
          </button>
        </li>
      ))}
    </ul>
  );
}

/** HTML that is pasted as such; it is made plain as everything that is pasted. */
function HtmlForm({ onDone }: { onDone: (html: string) => void }) {
  const [html, setHtml] = useState('');
  return (
    <>
      <textarea
        className="form-control words-area"
        rows={6}
        autoFocus
        aria-label="HTML"
        placeholder="<p>Words, lists, tables, links …</p>"
        value={html}
        onChange={(event) => setHtml(event.target.value)}
      />
      <button type="button" className="btn btn-primary" disabled={!html.trim()} onClick={() => onDone(html)}>
        Put it in
      </button>
    </>
  );
}

interface SheetProps {
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** What is asked before something is put in, above the foot of the page. */
function Sheet({ title, onClose, children }: SheetProps) {
  return createPortal(
    <div
      className="put-in"
      role="dialog"
      aria-label={title}
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <h2 className="note-title">{title}</h2>
      {children}
      <button type="button" className="btn btn-link" onClick={onClose}>
        Close
      </button>
    </div>,
    document.getElementById('put-in') ?? document.body,
  );
}
