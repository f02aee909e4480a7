'use client';

import { useId, useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { NO_GROUP } from '../../../core/contract/groups';
import type { GroupedTemplates } from '../../../core/contract/list';
import type { Template } from '../../../core/template/template';
import { printTemplate } from '../../../core/template/text/printTemplate';
import { GroupField } from '../GroupField';
import { TemplateNameField } from '../TemplateNameField';
import { useMakeTemplate } from '../useMakeTemplate';

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
  const { problem, busy, make, mend } = useMakeTemplate();
  const id = useId();
  const name = written ?? proposed;

  function keep(event: FormEvent) {
    event.preventDefault();
    const head = { ...template.head, name: name.trim() || 'A template', group: NO_GROUP };
    const text = printTemplate({ ...template, head });
    void make({ name, startsFrom: head.startsFrom, group, text });
  }

  return (
    <Form className="paper keep-template" onSubmit={keep} noValidate>
      <TemplateNameField
        value={name}
        isWrong={problem?.field === 'name'}
        problem={`${id}-problem`}
        onChange={setWritten}
      >
        {' '}
        It starts from {starts}.
      </TemplateNameField>
      <GroupField
        groups={groups}
        value={group}
        isWrong={problem?.field === 'group'}
        onChange={(key) => {
          setGroup(key);
          mend();
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
