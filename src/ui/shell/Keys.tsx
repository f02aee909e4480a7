'use client';

import { useEffect, useRef } from 'react';
import { goToSearch } from './SearchField';

const KEYS = [
  ['/', 'Search the list in view'],
  ['Arrows, Enter', 'Go through a list, open an entry'],
  ['Ctrl or Cmd + Enter', 'Send the letter; keep the template'],
  ['Ctrl or Cmd + Z', 'Undo on the page, chosen records included'],
  ['Ctrl or Cmd + B, I, U', 'Bold, italic, underlined'],
  ['{{, or Ctrl or Cmd + .', 'Put a smart field into a template'],
  ['Ctrl or Cmd + Shift + Enter', 'Turn a template from pencil to ink'],
  ['Shift + Enter', 'A new line in the same paragraph'],
  ['Esc', 'Close the open note'],
  ['?', 'This sheet'],
] as const;

/** Keys that work everywhere, and the sheet that lists them. */
export function Keys() {
  const sheet = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (target.isContentEditable || /^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      if (event.key === '/') {
        if (goToSearch()) event.preventDefault();
      } else if (event.key === '?') sheet.current?.showModal();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  return (
    <dialog ref={sheet} className="paper keys" aria-labelledby="keys-title">
      <h2 id="keys-title">Keys</h2>
      <dl>
        {KEYS.map(([key, does]) => (
          <div key={key}>
            <dt>{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <form method="dialog">
        <button className="btn btn-primary">Close</button>
      </form>
    </dialog>
  );
}
