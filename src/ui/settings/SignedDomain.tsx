'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { SigningAct, SigningAnswer, SigningDomain } from '../../core/contract/signing';
import { askServer } from '../writing/askServer';
import { copyText } from './copyText';

interface Props {
  domain: SigningDomain;
  mayChange: boolean;
}

/** What looking for the line came to. */
const FOUND = {
  there: 'The line is there. Letters are signed from now on.',
  'not there': 'The line is not there yet. A new one may take some hours until everybody finds it.',
  another: 'There is a line of this name, but it says something else. Compare it with the one above.',
  'not answered': 'Nobody answers at the moment. Try again soon.',
} as const;

/** How letters from one domain are signed: its key, the line to set, and whether that was seen. */
export function SignedDomain({ domain: { domain, line, seen }, mayChange }: Props) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [asks, setAsks] = useState(false);
  const [said, setSaid] = useState<{ words: string; trouble?: boolean }>();

  async function act(what: SigningAct, words: string) {
    setBusy(true);
    const answer = await askServer<SigningAnswer>(`/api/signing-keys/${encodeURIComponent(domain)}`, {
      act: what,
    });
    setBusy(false);
    setAsks(false);
    if ('offline' in answer)
      return setSaid({ words: 'There is no connection. Nothing has changed.', trouble: true });
    const { body } = answer;
    if ('error' in body) return setSaid({ words: body.error, trouble: true });
    const found = body.result === 'looked' ? body.found : undefined;
    setSaid({ words: found ? FOUND[found] : words, trouble: found !== undefined && found !== 'there' });
    router.refresh();
  }

  async function copy(text: string) {
    const copied = await copyText(text);
    setSaid(
      copied
        ? { words: 'Copied.' }
        : { words: 'It could not be copied. Mark it and copy it by hand.', trouble: true },
    );
  }

  const press = (what: SigningAct, label: string, words = '') => (
    <button
      type="button"
      className="btn btn-outline-primary"
      disabled={busy}
      onClick={() => void act(what, words)}
    >
      {label}
    </button>
  );
  return (
    <section className="form-part" aria-label={domain}>
      <h2>{domain}</h2>
      {!line && <p>Letters from here are not signed by this application.</p>}
      {line && (
        <>
          <p className={seen ? 'in-order' : 'waiting'}>
            {seen
              ? `Letters are signed. The line was seen last ${seen}.`
              : 'Letters are not signed yet: first the line below has to stand among the names of the domain, as a text (TXT). Whoever keeps the domain for you sets it.'}
          </p>
          <dl className="dns-line">
            <dt>Name</dt>
            <dd>
              <code>{line.name}</code>{' '}
              <button type="button" className="btn btn-link" onClick={() => void copy(line.name)}>
                Copy the name
              </button>
            </dd>
            <dt>Text</dt>
            <dd>
              <code>{line.value}</code>{' '}
              <button type="button" className="btn btn-link" onClick={() => void copy(line.value)}>
                Copy the text
              </button>
            </dd>
          </dl>
        </>
      )}
      <div className="foot-line">
        {mayChange && !line && press('make', 'Make a key')}
        {mayChange && line && press('look', 'See whether it is there')}
        {mayChange && line && !asks && (
          <button type="button" className="btn btn-link" onClick={() => setAsks(true)}>
            Take the key out
          </button>
        )}
        {asks && (
          <>
            {press('take out', 'Yes, take it out', 'Taken out. Its line may go, too.')}
            <button type="button" className="btn btn-link" onClick={() => setAsks(false)}>
              Leave it
            </button>
          </>
        )}
        {!mayChange && <p className="hint">An owner of the business settles it.</p>}
        <p className={said?.trouble ? 'problem' : 'in-order'} role={said?.trouble ? 'alert' : 'status'}>
          {said?.words}
        </p>
      </div>
    </section>
  );
}
