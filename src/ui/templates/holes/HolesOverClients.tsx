'use client';

import Link from 'next/link';
import type { HolesFound } from '../../../core/contract/holes';
import { capital } from '../../../core/describe/capital';
import type { MissingFor } from '../../../core/holes/holesOver';

interface Props {
  found: HolesFound | undefined;
  /** it is of earlier words, and about to be counted anew */
  isOld: boolean;
  /** the path that leads to a record that is no client's */
  recordPath: (start: string) => string;
  /** has the records fetched, where they are more than are fetched unasked */
  onLookThroughAll: () => void;
  /** sees the template for a record */
  onSee: (record: MissingFor) => void;
}

/** What the letters of a template would lack, and for whom: each leads to where it is mended. */
export function HolesOverClients({ found, isOld, recordPath, onLookThroughAll, onSee }: Props) {
  if (!found) return null;
  const counted = isOld ? 'holes counted-before' : 'holes';
  if (found.type === 'failed') return <p className="holes hint">{found.why}</p>;
  if (found.type === 'many')
    return (
      <p className="holes">
        <button type="button" className="btn btn-link" onClick={onLookThroughAll}>
          Look for holes over {found.of} clients
        </button>
      </p>
    );
  if (found.type === 'looking')
    return (
      <p className="holes hint" role="status">
        Looking for holes: {found.looked} of {found.of} clients …
      </p>
    );
  const { clients, holes, looked, of, took } = found;
  const among = `${looked < of ? ` Of ${of} clients the first ${looked} were looked through.` : ''}${isOld ? ' Counted before the last change.' : ''}`;
  if (clients === 0)
    return (
      <p className={`${counted} hint`} data-took={took}>
        There is no record that it fits.{among}
      </p>
    );
  const count = `${clients} ${clients === 1 ? 'client' : 'clients'}`;
  if (holes.length === 0)
    return (
      <p className={`${counted} in-order`} data-took={took}>
        No fact is missing for any of the {count} it fits.{among}
      </p>
    );
  return (
    <section className={counted} aria-label="Holes over all clients" aria-busy={isOld} data-took={took}>
      {holes.map(({ path, label, count: missing, records }) => (
        <details key={path}>
          <summary>
            <span className="needs-you">{capital(label)}</span>: missing for {missing} of {count}
          </summary>
          <ul>
            {records.map((record) => {
              const { start, client, name, reason } = record;
              const href =
                client === undefined ? recordPath(start) : `/clients/${encodeURIComponent(client)}`;
              return (
                <li key={start}>
                  <Link href={href} prefetch={false}>
                    {name}
                  </Link>{' '}
                  <span className="hint">{reason}</span>{' '}
                  <button type="button" className="btn btn-link" onClick={() => onSee(record)}>
                    See it
                  </button>
                </li>
              );
            })}
            {missing > records.length && <li className="hint">and {missing - records.length} more</li>}
          </ul>
        </details>
      ))}
      {among && <p className="hint">{among}</p>}
    </section>
  );
}
