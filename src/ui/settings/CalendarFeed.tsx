'use client';

import { useState } from 'react';
import type { Refusal } from '../../core/contract/refusal';
import { askServer } from '../writing/askServer';
import { copyText } from './copyText';

interface Props {
  /** where calendars are, without the last part */
  base: string;
  token: string | undefined;
  /** what the business calls bookings */
  bookings: string;
}

/** The address under which a member's own calendar reads the business's. */
export function CalendarFeed({ base, token: known, bookings }: Props) {
  const [token, setToken] = useState(known);
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<{ words: string; trouble?: boolean }>();
  const address = token && `${base}/${token}.ics`;

  async function change(act: 'give' | 'take away', words: string) {
    setBusy(true);
    const answer = await askServer<{ token?: string } & Partial<Refusal>>('/api/business/calendar', { act });
    setBusy(false);
    if ('offline' in answer)
      return setSaid({ words: 'There is no connection. Nothing has changed.', trouble: true });
    if (answer.status !== 200) return setSaid({ words: answer.body.error ?? '', trouble: true });
    setToken(answer.body.token);
    setSaid({ words });
  }

  async function copy() {
    setSaid(
      (await copyText(address!))
        ? { words: 'Copied.' }
        : { words: 'It could not be copied. Mark it and copy it by hand.', trouble: true },
    );
  }

  return (
    <section className="form-part" aria-label="For your calendar">
      <h2>For your calendar</h2>
      <p>
        The calendar on your phone or desk can read your {bookings} from an address of your own, and follows
        when one is moved. Whoever has the address can read them: give it to nobody.
      </p>
      {address && (
        <p>
          <code className="feed-address">{address}</code>
        </p>
      )}
      <div className="foot-line">
        {address ? (
          <>
            <button type="button" className="btn btn-outline-primary" onClick={() => void copy()}>
              Copy the address
            </button>
            <button
              type="button"
              className="btn btn-link"
              disabled={busy}
              onClick={() =>
                void change('give', 'The address before leads nowhere now. Give your calendar this one.')
              }
            >
              Another address
            </button>
            <button
              type="button"
              className="btn btn-link"
              disabled={busy}
              onClick={() => void change('take away', 'The address leads nowhere now.')}
            >
              No address any more
            </button>
          </>
        ) : (
          <button
            type="button"
            className="btn btn-outline-primary"
            disabled={busy}
            onClick={() => void change('give', 'Subscribe to this address in your calendar.')}
          >
            Make an address
          </button>
        )}
        <p className={said?.trouble ? 'problem' : 'in-order'} role={said?.trouble ? 'alert' : 'status'}>
          {said?.words}
        </p>
      </div>
    </section>
  );
}
