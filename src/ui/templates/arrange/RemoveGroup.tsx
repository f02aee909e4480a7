'use client';

import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { GroupAnswer } from '../../../core/contract/groups';
import type { GroupedTemplates } from '../../../core/contract/list';
import type { Refusal } from '../../../core/contract/refusal';
import { askServer } from '../../writing/askServer';

interface Props {
  group: GroupedTemplates;
  /** where its templates can go */
  others: readonly GroupedTemplates[];
  onDone: (words: string) => void;
  onClose: () => void;
}

/** Asks where the templates of a group go before it is removed. */
export function RemoveGroup({ group, others, onDone, onClose }: Props) {
  const [to, setTo] = useState('');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const id = useId();
  const count = group.templates.length;

  async function remove() {
    setBusy(true);
    const answer = await askServer<GroupAnswer | Refusal>(
      `/api/groups/${encodeURIComponent(group.key)}`,
      { version: group.version, to: to || null },
      'DELETE',
    );
    setBusy(false);
    if ('offline' in answer) return setProblem('There is no connection. Nothing was removed.');
    if (answer.body.result !== 'done') return setProblem(answer.body.error);
    onDone(`The group ${group.name} is removed.`);
  }

  return (
    <div className="group-form" role="group" aria-label={`Remove ${group.name}`}>
      {count > 0 && (
        <Form.Group controlId={id}>
          <Form.Label>{count === 1 ? 'Its template goes to' : `Its ${count} templates go to`}</Form.Label>
          <Form.Select autoFocus value={to} onChange={(event) => setTo(event.target.value)}>
            <option value="">no group</option>
            {others.map(({ key, name }) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      <p className="problem" role="alert">
        {problem}
      </p>
      <div className="form-foot">
        <Button autoFocus={count === 0} disabled={busy} onClick={() => void remove()}>
          Remove the group
        </Button>
        <button type="button" className="btn btn-link" onClick={onClose}>
          Keep it
        </button>
      </div>
    </div>
  );
}
