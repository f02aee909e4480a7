'use client';

import { useEffect, useState } from 'react';
import { settleNotices, wantsNotices } from './wantsNotices';

const REFUSED =
  'This browser was told not to show any for this application. Its own settings, beside the address, change that.';

/** Settles whether this device tells of what comes in. */
export function DeviceNotices({ owner }: { owner: string }) {
  // What a device wants is known there alone.
  const [wanted, setWanted] = useState<boolean>();
  const [said, setSaid] = useState('');
  useEffect(() => setWanted(wantsNotices(owner)), [owner]);

  async function settle() {
    if (wanted) {
      settleNotices(owner, false);
      setSaid('This device shows none from now on.');
      return setWanted(false);
    }
    if (!('Notification' in window)) return setSaid('This browser shows none.');
    if ((await Notification.requestPermission()) !== 'granted') return setSaid(REFUSED);
    settleNotices(owner, true);
    setSaid('This device shows them from now on, while a page of Fair Quill is open.');
    return setWanted(true);
  }

  return (
    <section className="form-part" aria-labelledby="device-notices">
      <h2 id="device-notices">On this device</h2>
      <p>
        When an answer comes in while Fair Quill is open but not in front, the browser can show from whom it
        is and its subject. Whoever looks at the screen reads it, too. It ends when you sign out.
      </p>
      <p className="cure-actions">
        <button
          type="button"
          className="btn btn-outline-primary"
          disabled={wanted === undefined}
          onClick={() => void settle()}
        >
          {wanted ? 'Show none here' : 'Show notices here'}
        </button>
        <span role="status">{said}</span>
      </p>
    </section>
  );
}
