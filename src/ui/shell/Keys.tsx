'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { goToSearch } from './SearchField';
import { helpOn } from './help';

const KEYS = [
  ['Ctrl or Cmd + K', 'Go anywhere or begin anything, by words: “write oda reminder”'],
  ['/', 'Search the list in view'],
  ['Arrows, Enter', 'Go through a list, open an entry'],
  ['Ctrl or Cmd + Enter', 'Send the letter; keep the template'],
  ['Ctrl or Cmd + Z', 'Undo on the page, chosen records included'],
  ['Ctrl or Cmd + B, I, U', 'Bold, italic, underlined'],
  ['{{, or Ctrl or Cmd + .', 'Put a smart field into a template'],
  ['Enter', 'On something chosen in a template: to its note'],
  ['Ctrl or Cmd + Shift + Enter', 'Turn a template from pencil to ink; send a letter and read the next'],
  ['Shift + Enter', 'A new line in the same paragraph'],
  ['Esc', 'Close the open note'],
  ['?', 'This sheet'],
] as const;

/** Keys that work everywhere, and the help: what the page is, and the keys. It is opened by a key, and by a press. */
export function Keys() {
  const sheet = useRef<HTMLDialogElement>(null);
  const help = helpOn(usePathname());
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (target.isContentEditable || /^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      if (event.key === '/') {
        if (goToSearch()) event.preventDefault();
      } else if (event.key === '?') open(sheet.current);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  return (
    <>
      <button type="button" className="btn btn-link open-help" onClick={() => open(sheet.current)}>
        Help
      </button>
      <dialog ref={sheet} className="paper keys" aria-labelledby="help-title">
        <h2 id="help-title" tabIndex={-1}>
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
        <form method="dialog">
          <button className="btn btn-primary">Close</button>
        </form>
      </dialog>
    </>
  );
}

/** It is read from its head: a sheet of its own would begin at its only button, which stands at the foot. */
function open(sheet: HTMLDialogElement | null): void {
  sheet?.showModal();
  sheet?.querySelector<HTMLElement>('#help-title')?.focus();
}
