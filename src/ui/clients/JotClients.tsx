'use client';

import { useEffect, useId, useMemo, useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { MadeClients } from '../../core/contract/records/newClients';
import type { Refusal } from '../../core/contract/refusal';
import { MOST_LINES, readClientLines } from '../../core/records/read/clientLines';
import { dropHere, keepHere, keptHere } from '../forms/keptHere';
import { askServer } from '../writing/askServer';

interface Props {
  /** where what is typed lies on this device until it is written down */
  place: string;
  onMade: (made: MadeClients) => void;
  /** whether something is typed that is not written down */
  onTyped: (typed: boolean) => void;
}

/** Clients jotted down, one a line: what is understood of each is shown before they are written down. */
export function JotClients({ place, onMade, onTyped }: Props) {
  const [text, setText] = useState('');
  const [said, setSaid] = useState<{ words: string; trouble?: boolean }>();
  const [busy, setBusy] = useState(false);
  const lines = useMemo(() => readClientLines(text), [text]);
  const clients = lines.flatMap(({ client }) => client ?? []);
  const isWrong = lines.length > clients.length || lines.length > MOST_LINES;
  const id = useId();

  useEffect(() => {
    const kept = keptHere(place);
    if (typeof kept === 'string') setText(kept);
  }, [place]);
  const isTyped = lines.length > 0;
  useEffect(() => onTyped(isTyped), [isTyped, onTyped]);

  function type(next: string) {
    setText(next);
    if (next) keepHere(place, next);
    else dropHere(place);
  }

  async function write() {
    setBusy(true);
    setSaid(undefined);
    const answer = await askServer<(MadeClients & { error?: undefined }) | Refusal>('/api/clients', {
      clients,
    });
    setBusy(false);
    if ('offline' in answer)
      return setSaid({ words: 'There is no connection. What you wrote is still here.', trouble: true });
    const { body } = answer;
    if (body.error !== undefined) return setSaid({ words: body.error, trouble: true });
    type('');
    setSaid({ words: inWords(body) });
    onMade(body);
  }

  return (
    <div className="jot-clients">
      <label htmlFor={id} className="form-label">
        One client a line: name, email address, telephone
      </label>
      <Form.Control
        id={id}
        as="textarea"
        rows={5}
        value={text}
        placeholder={'Ada and Tom Reyes, reyes@house.example, 01632 960100'}
        aria-describedby={`${id}-read`}
        onChange={({ target }) => type(target.value)}
      />
      <ul id={`${id}-read`} className="jotted">
        {lines.slice(0, MOST_LINES).map(({ line, client, problem }) => (
          <li key={line} className={problem ? 'problem' : ''}>
            {client
              ? [client.name, client.kind, client.email, client.phone].filter(Boolean).join(', ')
              : `Line ${line}: ${problem}`}
          </li>
        ))}
      </ul>
      {lines.length > MOST_LINES && (
        <p className="problem" role="alert">
          At most {MOST_LINES} at once.
        </p>
      )}
      <div className="foot-line">
        <button
          type="button"
          className="btn btn-outline-primary"
          disabled={busy || isWrong || clients.length === 0}
          onClick={() => void write()}
        >
          {clients.length > 1 ? `Write ${clients.length} clients down` : 'Write it down'}
        </button>
        <p className={said?.trouble ? 'problem' : 'in-order'} role={said?.trouble ? 'alert' : 'status'}>
          {said?.words}
        </p>
      </div>
    </div>
  );
}

function inWords({ made, there }: MadeClients): string {
  const known = there.length
    ? ` ${there.join(', ')} ${there.length === 1 ? 'is' : 'are'} there already.`
    : '';
  if (made.length === 0) return known.trim();
  return `${made.length === 1 ? `${made[0]!.name} is` : `${made.length} clients are`} written down.${known}`;
}
