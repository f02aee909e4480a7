'use client';

import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { GroupHead } from '../../../core/contract/list';
import type { GroupAnswer } from '../../../core/contract/groups';
import type { Refusal } from '../../../core/contract/refusal';
import { askServer } from '../../writing/askServer';

interface Props {
  /** what the key is called that makes it */
  button: string;
  autoFocus?: boolean;
  onMade: (group: GroupHead) => void;
}

/** Makes a group by its name alone. It stands in no form of its own: it may be a part of one. */
export function MakeGroup({ button, autoFocus = false, onMade }: Props) {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const id = useId();

  async function make() {
    if (busy) return;
    setBusy(true);
    setProblem(undefined);
    const answer = await askServer<GroupAnswer | Refusal>('/api/groups', { name });
    setBusy(false);
    if ('offline' in answer) return setProblem('There is no connection. No group was made.');
    if (answer.body.result !== 'done') return setProblem(answer.body.error);
    setName('');
    onMade(answer.body.made!);
  }

  return (
    <div className="make-group">
      <Form.Label htmlFor={id}>A new group</Form.Label>
      <div className="make-group-line">
        <Form.Control
          id={id}
          value={name}
          maxLength={60}
          autoFocus={autoFocus}
          placeholder="Its name"
          isInvalid={problem !== undefined}
          aria-describedby={`${id}-problem`}
          onChange={(event) => setName(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || event.nativeEvent.isComposing) return;
            event.preventDefault();
            void make();
          }}
        />
        <button type="button" className="btn btn-outline-primary" disabled={busy} onClick={() => void make()}>
          {button}
        </button>
      </div>
      <p id={`${id}-problem`} className="problem" role="alert">
        {problem}
      </p>
    </div>
  );
}
