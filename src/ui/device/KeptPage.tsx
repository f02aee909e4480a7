'use client';

import { useEffect, useRef, useState } from 'react';
import { usePathname, useSearchParams } from 'next/navigation';
import { whenKept } from './whenKept';
import { keepPage, pageIsFresh, pageKeptAt, type Keeping } from './keptPages';

/** A page is kept when it has been looked at for so many milliseconds: what one passes through is not. */
const LOOKED_AT = 1500;
/** Without a connection the server is tried again after so many milliseconds. */
const AGAIN = 15_000;
/** So many milliseconds it is waited for then. */
const ANSWERED = 5_000;
/** How many of the pages that Today leads to are kept ahead. */
const MOST_AHEAD = 24;

/** A letter or a record; no form for a new one, as nothing can be kept from it without a connection. */
const AHEAD = /^\/(?:write\?|(?:clients|work\/\w+)\/(?!new(?:[/?]|$)))/;

/** Has each page that is seen kept on the device, and tells when what is shown was kept earlier, as there is no connection. */
export function KeptPage({ owner, days }: Keeping) {
  const path = usePathname();
  const asked = useSearchParams();
  const search = asked.toString();
  const address = search ? `${path}?${search}` : path;
  const [keptAt, setKeptAt] = useState<number>();
  /** whether the server answers; undefined until that is known */
  const [back, setBack] = useState<boolean>();

  // What is gone to from it comes from the server; what is chosen on it changes the rest of its address.
  const here = `${path} ${asked.get('from') ?? ''}`;
  const first = useRef(here);
  useEffect(() => {
    if (here !== first.current) pageIsFresh();
    setKeptAt(pageKeptAt());
  }, [here]);

  useEffect(() => {
    if (pageKeptAt() !== undefined) return;
    const timer = setTimeout(() => {
      void keepPage(address, path === '/today' ? leadsTo() : [], { owner, days });
    }, LOOKED_AT);
    return () => clearTimeout(timer);
  }, [address, path, owner, days]);

  useEffect(() => {
    if (keptAt === undefined) return;
    const look = () => void isReached().then(setBack);
    const offline = () => setBack(false);
    look();
    const timer = setInterval(look, AGAIN);
    window.addEventListener('online', look);
    window.addEventListener('offline', offline);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', look);
      window.removeEventListener('offline', offline);
    };
  }, [keptAt]);

  if (keptAt === undefined) return null;
  return (
    <p className="kept-page" role="status">
      {back && 'There is a connection again. '}
      {back === false && 'There is no connection. '}
      This is how it stood {whenKept(keptAt)}.{' '}
      <button type="button" className="btn btn-link" onClick={() => window.location.reload()}>
        Show it as it is now
      </button>
    </p>
  );
}

/** Whether the server answers: a network alone may lead nowhere. */
function isReached(): Promise<boolean> {
  return fetch('/health', { cache: 'no-store', signal: AbortSignal.timeout(ANSWERED) }).then(
    ({ ok }) => ok,
    () => false,
  );
}

/** The letters and records that a page leads to, in its order. */
function leadsTo(): string[] {
  const links = document.querySelectorAll<HTMLAnchorElement>('main a[href]');
  const paths = [...links].map((link) => link.getAttribute('href')!.replace(/#.*$/, ''));
  return [...new Set(paths.filter((path) => AHEAD.test(path)))].slice(0, MOST_AHEAD);
}
