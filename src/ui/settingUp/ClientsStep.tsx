'use client';

import Link from 'next/link';
import { useState } from 'react';
import { JotClients } from '../clients/JotClients';
import { StepFoot } from './StepFoot';

interface Props {
  /** those that are there */
  clients: readonly { key: string; name: string }[];
  /** there are more */
  more: boolean;
  /** whose what is typed is, on this device */
  owner: string;
}

/** The first clients, jotted down. */
export function ClientsStep({ clients, more, owner }: Props) {
  const [made, setMade] = useState<readonly { key: string; name: string }[]>([]);
  const [isTyped, setTyped] = useState(false);
  const all = [...clients, ...made];
  return (
    <>
      <section className="form-part" aria-label="Clients">
        <JotClients
          place={`${owner} jotted clients`}
          onMade={(now) => setMade((before) => [...before, ...now.made])}
          onTyped={setTyped}
        />
        <p>
          What you have in a file, a table or cards, <Link href="/settings/bring-in">is brought in</Link> at
          once.
        </p>
        {all.length > 0 && (
          <>
            <h2>There {all.length === 1 ? 'is' : 'are'}</h2>
            <ul className="record-links">
              {all.map(({ key, name }) => (
                <li key={key}>
                  <Link href={`/clients/${encodeURIComponent(key)}`} prefetch={false}>
                    {name}
                  </Link>
                </li>
              ))}
              {more && <li>and more</li>}
            </ul>
          </>
        )}
      </section>
      <StepFoot
        step="clients"
        {...(isTyped ? { waits: 'Write the clients down first, or take the lines out.' } : {})}
      />
    </>
  );
}
