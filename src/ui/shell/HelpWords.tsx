'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { helpOn } from './help';

const KEYS = [
  ['Ctrl or Cmd + K', 'Go anywhere or begin anything, by words: “write oda reminder”'],
  ['/', 'Search the list in view'],
  ['Arrows, Enter', 'Go through a list, open an entry'],
  ['Ctrl or Cmd + Enter', 'Send the letter; keep the template'],
  ['Ctrl or Cmd + Z', 'Undo on the page, chosen records included'],
  ['Ctrl or Cmd + B, I, U', 'Bold, italic, underlined'],
  ['{{, or Ctrl or Cmd + .', 'Put a smart field into a template'],
  ['Ctrl or Cmd + J', 'List all shorthand, in a letter or a template'],
  ['Enter', 'On something chosen in a template: to its note'],
  ['Ctrl or Cmd + Shift + Enter', 'Turn a template from pencil to ink; send a letter and read the next'],
  ['Shift + Enter', 'A new line in the same paragraph'],
  ['Esc', 'Close the open note'],
  ['?', 'This sheet'],
] as const;

/** What the page is, and the keys. It is read from its head: a sheet of its own would begin at its only button, which stands at the foot. */
export default function HelpWords() {
  const help = helpOn(usePathname());
  const title = useRef<HTMLHeadingElement>(null);
  useEffect(() => title.current?.focus(), []);
  return (
    <>
      <h2 id="help-title" tabIndex={-1} ref={title}>
        {help?.title ?? 'Keys'}
      </h2>
      {help && (
        <>
          <dl>
            {help.says.map(([what, words]) => (
              <div key={what}>
                <dt>{what}</dt>
                <dd>{words}</dd>
              </div>
            ))}
          </dl>
          <h2>Keys</h2>
        </>
      )}
      <dl>
        {KEYS.map(([key, does]) => (
          <div key={key}>
            <dt>{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}
