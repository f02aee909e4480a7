'use client';

import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { Refusal } from '../../core/contract/refusal';
import type { WordsFacts } from '../../core/contract/templateWords';
import type { TrialAnswer } from '../../core/contract/trials';
import { newId } from '../shell/newId';
import { askServer } from '../writing/askServer';
import { signInAgain } from '../writing/useWriting';

interface Props {
  templateKey: string;
  /** the record it is filled for: `invoice:LPC-1048` */
  from: string;
  text: string;
  /** who may get it, whoever writes first */
  members: WordsFacts['members'];
}

/** Sends the template, filled as it is seen, to a member of the business: nobody else can be chosen. */
export function SendTrial({ templateKey, from, text, members }: Props) {
  const [said, setSaid] = useState<{ trouble?: string; gone?: string }>({});
  const [to, setTo] = useState(members[0]?.key ?? '');
  const [trial, setTrial] = useState(newId);
  const [busy, setBusy] = useState(false);
  const id = useId();

  async function send() {
    setBusy(true);
    setSaid({});
    const path = `/api/templates/${encodeURIComponent(templateKey)}/trial`;
    const answer = await askServer<TrialAnswer | Refusal>(path, { id: trial, from, to, text });
    setBusy(false);
    // Asked for again without an answer, it is the same trial.
    if ('offline' in answer) return setSaid({ trouble: 'There is no connection. Try again.' });
    const { body } = answer;
    if (body.result === 'going') {
      setTrial(newId());
      return setSaid({ gone: `On its way to ${body.to}, and to nobody else.` });
    }
    if (body.result === undefined && body.signedOut) signInAgain();
    else setSaid({ trouble: body.error });
  }

  return (
    <div className="trial">
      <Form.Label htmlFor={id}>Try it out: to</Form.Label>
      <Form.Select id={id} size="sm" value={to} onChange={(event) => setTo(event.target.value)}>
        {members.map(({ key, name }) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </Form.Select>
      <button type="button" className="btn btn-outline-primary" disabled={busy} onClick={() => void send()}>
        Send a trial
      </button>
      <p role="status" className={said.trouble ? 'needs-you' : 'in-order'}>
        {said.trouble ?? said.gone}
      </p>
    </div>
  );
}
