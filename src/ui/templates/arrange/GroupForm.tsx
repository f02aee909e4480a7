'use client';

import { useId, useState, type FormEvent, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { GroupAnswer } from '../../../core/contract/groups';
import type { GroupedTemplates } from '../../../core/contract/list';
import type { Refusal } from '../../../core/contract/refusal';
import { TINTS } from '../../../core/template/proposeGroup';
import { askServer } from '../../writing/askServer';
import { GroupInitial } from '../GroupInitial';

interface Props {
  group: GroupedTemplates;
  /** what else can be done with the group */
  acts: ReactNode;
  onDone: () => void;
  onClose: () => void;
}

/** What a group is called, its initial and its tint. */
export function GroupForm({ group, acts, onDone, onClose }: Props) {
  const [name, setName] = useState(group.name);
  const [initial, setInitial] = useState(group.initial);
  const [tint, setTint] = useState(group.tint);
  const [problem, setProblem] = useState<{ words: string; field?: string }>();
  const [busy, setBusy] = useState(false);
  const id = useId();

  async function keep(event: FormEvent) {
    event.preventDefault();
    setBusy(true);
    const answer = await askServer<GroupAnswer | Refusal>(`/api/groups/${encodeURIComponent(group.key)}`, {
      version: group.version,
      name,
      initial: initial.trim(),
      tint,
    });
    setBusy(false);
    if ('offline' in answer) return setProblem({ words: 'There is no connection. Nothing was changed.' });
    const { body } = answer;
    if (body.result === 'done') return onDone();
    setProblem({ words: body.error, ...('field' in body && body.field ? { field: body.field } : {}) });
  }

  return (
    <Form className="group-form" onSubmit={(event) => void keep(event)} noValidate>
      <Form.Group controlId={`${id}-name`}>
        <Form.Label>Name</Form.Label>
        <Form.Control
          autoFocus
          value={name}
          maxLength={60}
          isInvalid={problem?.field === 'name'}
          aria-describedby={`${id}-problem`}
          onChange={(event) => setName(event.target.value)}
          onKeyDown={(event) => event.key === 'Escape' && onClose()}
        />
      </Form.Group>
      <Form.Group controlId={`${id}-initial`} className="group-form-initial">
        <Form.Label>Initial</Form.Label>
        <Form.Control
          value={initial}
          maxLength={4}
          isInvalid={problem?.field === 'initial'}
          aria-describedby={`${id}-problem`}
          onChange={(event) => setInitial(event.target.value)}
        />
      </Form.Group>
      <fieldset className="tint-choice">
        <legend className="form-label">Tint</legend>
        {TINTS.map((one) => (
          <label key={one} title={one}>
            <input type="radio" name={`${id}-tint`} checked={tint === one} onChange={() => setTint(one)} />
            <GroupInitial initial={initial.trim() || '–'} tint={one} />
            <span className="visually-hidden">{one}</span>
          </label>
        ))}
      </fieldset>
      <p id={`${id}-problem`} className="problem" role="alert">
        {problem?.words}
      </p>
      <div className="form-foot">
        <Button type="submit" disabled={busy}>
          Keep
        </Button>
        <button type="button" className="btn btn-link" onClick={onClose}>
          Leave as it was
        </button>
        <span className="group-acts">{acts}</span>
      </div>
    </Form>
  );
}
