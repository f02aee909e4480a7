'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { MergeAnswer } from '../../core/contract/merging';
import { recordPath } from '../records/recordPath';
import { askServer } from '../writing/askServer';

interface Props {
  clientKey: string;
  otherKey: string;
  two: {
    kept: { name: string; version: number };
    gone: { name: string; version: number };
    /** what they say otherwise */
    differing: { fact: string; heading: string; kept: string; gone: string }[];
  };
}

/** Two records of a client become one: of what they say otherwise one is chosen. */
export function MergeForm({ clientKey, otherKey, two: { kept, gone, differing } }: Props) {
  const router = useRouter();
  const [take, setTake] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  const page = recordPath({ kind: 'client', key: clientKey });

  async function merge() {
    setBusy(true);
    setProblem(undefined);
    const asked = { version: kept.version, gone: otherKey, goneVersion: gone.version, take };
    const answer = await askServer<MergeAnswer>(`/api${page}/merge`, asked);
    setBusy(false);
    if ('offline' in answer) return setProblem('There is no connection. Both stand as they stood.');
    if (answer.body.error !== undefined) return setProblem(answer.body.error);
    router.push(page);
    router.refresh();
  }

  return (
    <form
      className="kept-form"
      onSubmit={(event) => {
        event.preventDefault();
        void merge();
      }}
    >
      <section className="form-part" aria-label="What they say otherwise">
        {differing.length === 0 && <p>They say nothing otherwise. What only one says is kept.</p>}
        {differing.map(({ fact, heading, ...said }) => (
          <fieldset key={fact} className="form-field">
            <legend className="form-label">{heading}</legend>
            {(['kept', 'gone'] as const).map((which) => (
              <label key={which} className="check">
                <input
                  type="radio"
                  name={fact}
                  checked={take.includes(fact) === (which === 'gone')}
                  onChange={() =>
                    setTake((before) => [
                      ...before.filter((one) => one !== fact),
                      ...(which === 'gone' ? [fact] : []),
                    ])
                  }
                />
                {said[which]}
              </label>
            ))}
          </fieldset>
        ))}
        <p className="field-help">Tags and notes of both are kept, and so are their people and things.</p>
      </section>
      <div className="letter-foot">
        <div className="foot-line">
          <Button type="submit" disabled={busy}>
            {busy ? 'Making one of them …' : 'Make one of them'}
          </Button>
          <p className="foot-words problem" role="alert">
            {problem}
          </p>
        </div>
      </div>
    </form>
  );
}
