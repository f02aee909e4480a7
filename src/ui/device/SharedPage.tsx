'use client';

import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useEffect, useId, useState } from 'react';
import { sizeInWords } from '../../core/describe/sizeInWords';
import { LARGEST_PICTURE, MOST_ADDED } from '../../core/files/limits';
import { useFound } from '../palette/useFound';
import { clearShared, readShared, type Shared } from './shared';

/** What was shared to the application: to whom it goes. */
export function SharedPage() {
  const router = useRouter();
  const asked = useSearchParams();
  const [shared, setShared] = useState<Shared | 'nothing'>();
  useEffect(() => {
    void readShared().then((found) => setShared(found ?? 'nothing'));
  }, []);
  if (!shared) return null;
  if (shared === 'nothing')
    return (
      <div className="hint">
        <h1>Nothing is shared</h1>
        <p>
          {asked.has('lost')
            ? 'It could not be read. Share it again, or add it to a letter under “Add a file”.'
            : 'Text and photographs that you share to Fair Quill from another application begin a letter here.'}
        </p>
        <Link href="/today">Back to Today</Link>
      </div>
    );
  const left = Number(asked.get('left'));
  return (
    <article className="paper record shared" aria-labelledby="shared-title">
      <h1 id="shared-title">Shared: to whom?</h1>
      {left > 0 && (
        <p className="trouble" role="alert">
          {left === 1 ? 'One file was' : `${left} files were`} left behind: at most {MOST_ADDED} are taken,
          each of at most {sizeInWords(LARGEST_PICTURE)}.
        </p>
      )}
      {shared.words && <blockquote className="shared-words">{shared.words}</blockquote>}
      {shared.files.length > 0 && (
        <ul className="shared-files">
          {shared.files.map(({ place, file }) => (
            <li key={place}>
              {file.name} <span className="entry-note">{sizeInWords(file.size)}</span>
            </li>
          ))}
        </ul>
      )}
      <Whom />
      <button
        type="button"
        className="btn btn-link"
        onClick={() => void clearShared().then(() => router.push('/today'))}
      >
        Throw it away
      </button>
    </article>
  );
}

/** Finds whom a letter goes to, and from which template where words for one are typed. */
function Whom() {
  const id = useId();
  const [typed, setTyped] = useState('');
  const { found, state } = useFound(typed.trim() ? `write ${typed}` : '');
  const letters = typed.trim() ? found.filter(({ path }) => path.startsWith('/write?')) : [];
  return (
    <>
      <label htmlFor={id}>Write to</label>
      <input
        id={id}
        type="search"
        className="form-control"
        placeholder="oda, or oda thank you"
        autoComplete="off"
        autoFocus
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <ul className="shared-whom" aria-label="Found">
        {letters.map(({ path, name, note }) => (
          <li key={path}>
            <Link href={`${path}&shared=1`} prefetch={false} className="entry">
              <span className="entry-name">{name}</span>
              {note && <span className="entry-note">{note}</span>}
            </Link>
          </li>
        ))}
      </ul>
      <p role="status" className="entry-note">
        {!typed.trim()
          ? ''
          : state === 'offline'
            ? 'There is no connection: open the client from a list that was seen before; what was shared stays here.'
            : state === 'known' && letters.length === 0
              ? 'Nobody is found by these words.'
              : ''}
      </p>
    </>
  );
}
