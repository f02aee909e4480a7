'use client';

import { useRouter } from 'next/navigation';
import { useId, useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { NO_GROUP } from '../../../core/contract/groups';
import type { GroupedTemplates } from '../../../core/contract/list';
import type { Refusal } from '../../../core/contract/refusal';
import type { TemplateAnswer } from '../../../core/contract/templates';
import type { Template } from '../../../core/template/template';
import { printTemplate } from '../../../core/template/text/printTemplate';
import { askServer } from '../../writing/askServer';
import { GroupField, NEW_GROUP } from '../GroupField';

interface Props {
  template: Template;
  /** what it may be called */
  proposed: string;
  /** “a visit” */
  starts: string;
  groups: readonly Pick<GroupedTemplates, 'key' | 'name'>[];
  /** whether it is known what could be found */
  ready: boolean;
  /** how many finds are not decided */
  open: number;
}

/** Asks what the template is called and keeps it. */
export function KeepTemplate({ template, proposed, starts, groups, ready, open }: Props) {
  const [written, setWritten] = useState<string>();
  const [group, setGroup] = useState('');
  const [problem, setProblem] = useState<{ words: string; field?: string }>();
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const id = useId();
  const name = written ?? proposed;

  async function keep(event: FormEvent) {
    event.preventDefault();
    if (group === NEW_GROUP)
      return setProblem({ words: 'Make the new group first, or choose another.', field: 'group' });
    setBusy(true);
    setProblem(undefined);
    const answer = await askServer<TemplateAnswer | Refusal>('/api/templates', {
      name,
      startsFrom: template.head.startsFrom,
      group: group || null,
      text: printTemplate({
        ...template,
        head: { ...template.head, name: name.trim() || 'A template', group: NO_GROUP },
      }),
    });
    if (!('offline' in answer) && answer.body.result === 'done') {
      router.push(`/templates/${answer.body.key}`);
      return router.refresh();
    }
    setBusy(false);
    if ('offline' in answer)
      return setProblem({ words: 'There is no connection. What you decided is still here.' });
    const { body } = answer;
    if (body.result !== 'done')
      setProblem({ words: body.error, ...('field' in body && body.field ? { field: body.field } : {}) });
  }

  return (
    <Form className="paper keep-template" onSubmit={(event) => void keep(event)} noValidate>
      <Form.Group controlId={`${id}-name`}>
        <Form.Label>Name</Form.Label>
        <Form.Control
          value={name}
          maxLength={100}
          isInvalid={problem?.field === 'name'}
          aria-describedby={`${id}-help ${id}-problem`}
          onChange={(event) => setWritten(event.target.value)}
        />
        <Form.Text id={`${id}-help`}>
          For the team. Clients read the subject, not this. It starts from {starts}.
        </Form.Text>
      </Form.Group>
      <GroupField
        groups={groups}
        value={group}
        isWrong={problem?.field === 'group'}
        onChange={(key) => {
          setGroup(key);
          setProblem(undefined);
        }}
      />
      <p id={`${id}-problem`} className="problem" role="alert">
        {problem?.words}
      </p>
      <Button type="submit" variant={open > 0 ? 'outline-primary' : 'primary'} disabled={busy || !ready}>
        Keep as a template
      </Button>
      {ready && open > 0 && (
        <p className="entry-note">
          {open === 1 ? 'One is not decided: its words stay' : `${open} are not decided: their words stay`} as
          they are.
        </p>
      )}
    </Form>
  );
}
