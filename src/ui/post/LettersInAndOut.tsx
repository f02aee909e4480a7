'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { LARGEST_LETTERS, type LettersBrought } from '../../core/contract/letters';
import type { Refusal } from '../../core/contract/refusal';
import { sizeInWords } from '../../core/describe/sizeInWords';

/** Takes all letters of a client out, and letters in that were written elsewhere. @param client their key */
export function LettersInAndOut({ client }: { client: string }) {
  const router = useRouter();
  const chooser = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<{ words: string; wrong?: true }>();
  const [busy, setBusy] = useState(false);
  const out = (form: string) => `/api/clients/${encodeURIComponent(client)}/letters?as=${form}`;

  async function bring(file: File) {
    if (file.size > LARGEST_LETTERS)
      return setSaid({
        words: `“${file.name}” has ${sizeInWords(file.size)}, and ${sizeInWords(LARGEST_LETTERS)} can be brought in at once. Part it first.`,
        wrong: true,
      });
    setBusy(true);
    setSaid({ words: `Bringing in “${file.name}” …` });
    try {
      const answer = await fetch('/api/letters/brought', { method: 'POST', body: file });
      const body = (await answer.json()) as (LettersBrought & { error?: undefined }) | Refusal;
      if (body.error !== undefined) setSaid({ words: body.error, wrong: true });
      else {
        setSaid({ words: broughtInWords(body) });
        router.refresh();
      }
    } catch {
      setSaid({
        words:
          'There is no connection. What had been taken stays; bring the file again, and nothing is taken twice.',
        wrong: true,
      });
    }
    setBusy(false);
  }

  return (
    <details className="in-and-out">
      <summary>Letters as files</summary>
      <p>
        <a href={out('mbox')}>All as a mailbox file</a> <a href={out('zip')}>All as a zip of messages</a>
        <button
          type="button"
          className="btn btn-link"
          disabled={busy}
          onClick={() => chooser.current?.click()}
        >
          Bring letters in
        </button>
        <input
          ref={chooser}
          type="file"
          accept=".eml,.mbox,message/rfc822,application/mbox"
          hidden
          aria-label="Letters to bring in"
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            if (file) void bring(file);
            target.value = '';
          }}
        />
      </p>
      <p className="field-help">
        An .eml or mbox file of your mail program. Each letter goes to whose it is, by its addresses; one that
        is here already is taken once.
      </p>
      {said && (
        <p role={said.wrong ? 'alert' : 'status'} className={said.wrong ? 'problem' : 'in-order'}>
          {said.words}
        </p>
      )}
    </details>
  );
}

function broughtInWords({ taken, known, reports, unreadable, noRoom, more }: LettersBrought): string {
  const said = [
    taken === 1 ? '1 letter was brought in' : `${taken} letters were brought in`,
    ...(known ? [`${known} ${known === 1 ? 'was' : 'were'} here already`] : []),
    ...(reports ? [`${reports} told what became of letters`] : []),
    ...(unreadable ? [`${unreadable} could not be read`] : []),
    ...(noRoom ? [`for ${noRoom} there was no room: remove some files first`] : []),
  ];
  return `${said.join(', ')}.${more ? ' There are more in it: bring the rest as a file of its own.' : ''}`;
}
