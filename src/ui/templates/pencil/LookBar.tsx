'use client';

import { useEffect, useState } from 'react';
import type { TemplateEditor } from '../../editor/templateEditor';

const INKS = ['madder', 'ochre', 'moss', 'verdigris', 'iris', 'slate'] as const;

/** How the selected words look: a small bar above them; on a phone it stands above the keyboard. */
export function LookBar({ editor: { editor } }: { editor: TemplateEditor }) {
  const [, redraw] = useState(0);
  useEffect(() => {
    const again = () => redraw((count) => count + 1);
    editor.on('transaction', again);
    return () => {
      editor.off('transaction', again);
    };
  }, [editor]);
  const { view, state } = editor;
  const from = view.coordsAtPos(state.selection.from);
  const mark = (words: string, name: string, key: string, attrs?: object) => ({
    words,
    key,
    pressed: editor.isActive(name, attrs),
    press: () => editor.chain().focus().toggleMark(name, attrs).run(),
  });
  const style = (words: string, name: string) => mark(words, 'style', '', { style: name });
  const looks = [
    mark('Bold', 'bold', 'B'),
    mark('Italic', 'italic', 'I'),
    { ...style('Underline', 'underline'), key: 'U' },
    style('Small', 'small'),
    style('Large', 'large'),
  ];
  return (
    <div
      className="look-bar"
      role="toolbar"
      aria-label="Looks of the selected words"
      style={{
        left: Math.max(8, Math.min(from.left, window.innerWidth - 420)),
        top: Math.max(8, from.top - 46),
      }}
      onMouseDown={(event) => event.preventDefault()}
    >
      {looks.map(({ words, key, pressed, press }) => (
        <button
          key={words}
          type="button"
          aria-pressed={pressed}
          className={`look look-${words.toLowerCase()}`}
          title={key && `Ctrl or Cmd + ${key}`}
          onClick={press}
        >
          {words}
        </button>
      ))}
      {INKS.map((ink) => {
        const { pressed, press } = style(ink, ink);
        return (
          <button
            key={ink}
            type="button"
            aria-label={`Ink: ${ink}`}
            aria-pressed={pressed}
            className={`look ink ink-${ink}`}
            onClick={press}
          />
        );
      })}
    </div>
  );
}
