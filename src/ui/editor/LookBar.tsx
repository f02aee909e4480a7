'use client';

import type { Editor } from '@tiptap/core';
import { useEffect, useReducer, useState, type FormEvent } from 'react';
import { safeAddress } from '../../core/document/safeAddress';
import { TINTS } from '../../core/template/proposeGroup';

interface Props {
  editor: Editor;
  /** an address as a link of the page has it */
  link: (address: string) => unknown;
  /** whether the page is lines of words and nothing else */
  linesOnly?: boolean;
}

interface Look {
  words: string;
  keys?: string;
  pressed: boolean;
  press: () => void;
  /** what it looks like itself */
  className?: string;
}

const WIDTH = 480;
const HEIGHT = 76;

/** How the selected words and their paragraphs look: a small bar above them; on a phone it stands above the keyboard. */
export default function LookBar({ editor, link, linesOnly = false }: Props) {
  const [, redraw] = useReducer((count: number) => count + 1, 0);
  const [linking, setLinking] = useState(false);
  useEffect(() => {
    editor.on('transaction', redraw);
    window.visualViewport?.addEventListener('resize', redraw);
    document.addEventListener('scroll', redraw, true);
    return () => {
      editor.off('transaction', redraw);
      window.visualViewport?.removeEventListener('resize', redraw);
      document.removeEventListener('scroll', redraw, true);
    };
  }, [editor]);
  const { view, state } = editor;
  // A subject is words alone.
  if (state.selection.empty || state.selection.$from.parent.type.name === 'subject') return null;
  const from = view.coordsAtPos(state.selection.from);
  return (
    <section
      className="look-bar"
      aria-label="Looks"
      style={{
        left: Math.max(8, Math.min(from.left, window.innerWidth - WIDTH - 8)),
        // It stands on the line above; the sheet draws it up by its own height.
        top: Math.max(HEIGHT, from.top - 6),
        // Above the keyboard of a phone; the sheet says where that counts.
        ['--keyboard' as string]: `${keyboardHeight()}px`,
      }}
      onMouseDown={(event) => {
        if (!(event.target instanceof HTMLInputElement)) event.preventDefault();
      }}
    >
      {linking ? (
        <LinkForm editor={editor} link={link} onDone={() => setLinking(false)} />
      ) : (
        <div className="look-row" role="toolbar" aria-label="Looks of the selected words">
          {(linesOnly ? wordLooks(editor) : [...wordLooks(editor), ...blockLooks(editor)]).map(
            ({ words, keys, pressed, press, className }) => (
              <button
                key={words}
                type="button"
                aria-pressed={pressed}
                aria-label={className?.startsWith('ink') ? words : undefined}
                className={`look ${className ?? ''}`}
                title={keys && `Ctrl or Cmd + ${keys}`}
                onClick={press}
              >
                {className?.startsWith('ink') ? '' : words}
              </button>
            ),
          )}
          <button
            type="button"
            className="look"
            aria-pressed={editor.isActive('link')}
            onClick={() =>
              editor.isActive('link') ? editor.chain().focus().unsetMark('link').run() : setLinking(true)
            }
          >
            Link
          </button>
        </div>
      )}
    </section>
  );
}

/** How words look. */
function wordLooks(editor: Editor): Look[] {
  const mark = (words: string, name: string, attrs?: object, more?: Partial<Look>): Look => ({
    words,
    pressed: editor.isActive(name, attrs),
    press: () => editor.chain().focus().toggleMark(name, attrs).run(),
    ...more,
  });
  return [
    mark('Bold', 'bold', undefined, { keys: 'B', className: 'look-bold' }),
    mark('Italic', 'italic', undefined, { keys: 'I', className: 'look-italic' }),
    mark('Underline', 'style', { style: 'underline' }, { keys: 'U', className: 'look-underline' }),
    mark('Small', 'style', { style: 'small' }, { className: 'look-small' }),
    mark('Large', 'style', { style: 'large' }, { className: 'look-large' }),
    ...TINTS.map((ink) => mark(`Ink: ${ink}`, 'style', { style: ink }, { className: `ink ink-${ink}` })),
  ];
}

/** How their paragraphs do. */
function blockLooks(editor: Editor): Look[] {
  const side = (words: string, style: string): Look => {
    const pressed = editor.isActive('styled', { styles: [style] });
    const press = () =>
      pressed
        ? editor.chain().focus().lift('styled').run()
        : editor
            .chain()
            .focus()
            .wrapIn('styled', { styles: [style] })
            .run();
    return { words, pressed, press };
  };
  const list = (words: string, name: string): Look => {
    const pressed = editor.isActive(name);
    const press = () =>
      pressed
        ? editor.chain().focus().liftListItem('listItem').run()
        : editor.chain().focus().wrapInList(name).run();
    return { words, pressed, press };
  };
  return [
    {
      words: 'Heading',
      pressed: editor.isActive('heading'),
      press: () => editor.chain().focus().toggleNode('heading', 'paragraph', { level: 2 }).run(),
    },
    list('Bullets', 'bulletList'),
    list('Numbers', 'orderedList'),
    {
      words: 'Quote',
      pressed: editor.isActive('quote'),
      press: () => editor.chain().focus().toggleWrap('quote').run(),
    },
    side('Middle', 'center'),
    side('Right', 'right'),
  ];
}

function LinkForm({ editor, link, onDone }: Props & { onDone: () => void }) {
  const [wrong, setWrong] = useState(false);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = String(new FormData(event.currentTarget).get('address')).trim();
    const address =
      safeAddress(typed) ?? safeAddress(typed.includes('@') ? `mailto:${typed}` : `https://${typed}`);
    if (!typed || !address) return setWrong(true);
    // At once, not a frame later: keys that follow are the page's.
    editor.view.focus();
    editor
      .chain()
      .setMark('link', { address: link(address) })
      .run();
    onDone();
  };
  return (
    <form className="link-form" onSubmit={submit} onKeyDown={(event) => event.key === 'Escape' && onDone()}>
      <input
        className="form-control"
        name="address"
        autoFocus
        aria-label="Where it leads"
        aria-invalid={wrong}
        placeholder="www.larkfield.example, a mail address …"
      />
      {wrong && <span className="needs-you">Write an address of the web or of mail.</span>}
      <button className="look">Set</button>
      <button type="button" className="look" onClick={onDone}>
        Leave
      </button>
    </form>
  );
}

/** How much of the window a phone's keyboard covers. */
function keyboardHeight(): number {
  const { visualViewport } = window;
  return visualViewport
    ? Math.max(0, window.innerHeight - visualViewport.height - visualViewport.offsetTop)
    : 0;
}
