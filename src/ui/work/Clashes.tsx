'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import type { ClashShown } from '../../core/contract/clashes';
import type { OwnFields } from '../../core/contract/records/customFacts';
import { clockMoment } from '../../core/contract/records/parts';
import { recordPath } from '../records/recordPath';
import { askServer } from '../writing/askServer';

/** The server is asked so many milliseconds after the last change. */
const PAUSE = 200;

/** What stands in the way of the booking as it is being chosen: told, never in the way of keeping it. */
export function Clashes({ own, booking }: { own: OwnFields; booking: string | undefined }) {
  const { control } = useFormContext();
  const [client, member, items, starts, ends] = useWatch({
    control,
    name: ['client', 'member', 'items', 'starts_at', 'ends_at'],
  }) as [string, string, string[], string, string];
  const moment = clockMoment(own.zone);
  const asked =
    starts && ends && starts < ends
      ? JSON.stringify({
          ...(booking ? { booking } : {}),
          ...(client ? { client } : {}),
          ...(member ? { member } : {}),
          items,
          starts_at: moment.cast(starts),
          ends_at: moment.cast(ends),
        })
      : undefined;
  const [answer, setAnswer] = useState<{ asked: string; clashes: ClashShown[] | undefined }>();
  useEffect(() => {
    if (!asked) return;
    let latest = true;
    const timer = setTimeout(() => {
      void askServer<{ clashes?: ClashShown[] }>('/api/bookings/clashes', JSON.parse(asked)).then((got) => {
        if (latest) setAnswer({ asked, clashes: 'offline' in got ? undefined : got.body.clashes });
      });
    }, PAUSE);
    return () => {
      latest = false;
      clearTimeout(timer);
    };
  }, [asked]);
  const told = answer?.asked === asked ? answer : undefined;
  return (
    <div role="status" className="clashes">
      {told && told.clashes === undefined && (
        <p className="hint">Whether it is free could not be looked up.</p>
      )}
      {told?.clashes?.length === 0 && <p className="in-order">Nothing else is booked then.</p>}
      {!!told?.clashes?.length && (
        <ul className="needs-you">
          {told.clashes.map(({ booking: key, words }) => (
            <li key={words}>
              {words}{' '}
              {key && (
                <Link href={recordPath({ kind: 'booking', key })} prefetch={false} target="_blank">
                  Look
                </Link>
              )}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
