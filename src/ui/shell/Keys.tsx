'use client';

import { useEffect, useRef, useState } from 'react';
import { lazyPart } from './lazyPart';
import { goToSearch } from './SearchField';

const HelpWords = lazyPart(() => import('./HelpWords'));

/** Keys that work everywhere, and the help: what the page is, and the keys. It is opened by a key, and by a press. */
export function Keys() {
  const sheet = useRef<HTMLDialogElement>(null);
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (target.isContentEditable || /^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      if (event.key === '/') {
        if (goToSearch()) event.preventDefault();
      } else if (event.key === '?') setOpen(true);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  useEffect(() => {
    if (open) sheet.current?.showModal();
  }, [open]);
  return (
    <>
      <button type="button" className="btn btn-link open-help" onClick={() => setOpen(true)}>
        Help
      </button>
      <dialog ref={sheet} className="paper keys" aria-labelledby="help-title" onClose={() => setOpen(false)}>
        {open && <HelpWords />}
        <form method="dialog">
          <button className="btn btn-primary">Close</button>
        </form>
      </dialog>
    </>
  );
}
