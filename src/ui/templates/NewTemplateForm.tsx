'use client';

import { useRouter } from 'next/navigation';
import { useId, useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Link from 'next/link';
import type { GroupedTemplates } from '../../core/contract/list';
import type { Refusal } from '../../core/contract/refusal';
import type { TemplateAnswer } from '../../core/contract/templates';
import { withArticle } from '../../core/fill/formats/article';
import type { BookingWords } from '../../core/records/bookingWords';
import { STARTING_POINTS, type StartingKind } from '../../core/records/recordKind';
import { askServer } from '../writing/askServer';
import { GroupField, NEW_GROUP } from './GroupField';
import { BEGIN } from './begin';

interface Props {
  groups: readonly Pick<GroupedTemplates, 'key' | 'name'>[];
  words: BookingWords;
}

/** When each is written, in a few words. */
const WHEN: Readonly<Record<StartingKind, string>> = {
  client: 'anything else one writes to a client about',
  enquiry: 'somebody asks for the first time',
  project: 'a longer piece of work',
  booking: 'a day and a time that is agreed',
  invoice: 'what is owed and paid',
};

/** Asks what a new template is called, what it starts from and where it stands. */
export function NewTemplateForm({ groups: given, words }: Props) {
  const [group, setGroup] = useState('');
  const [name, setName] = useState('');
  const [startsFrom, setStartsFrom] = useState<StartingKind>('client');
  const [problem, setProblem] = useState<{ words: string; field?: string }>();
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const id = useId();
  const called = (kind: StartingKind) => (kind === 'booking' ? words.booking : kind);

  async function make(event: FormEvent) {
    event.preventDefault();
    if (group === NEW_GROUP)
      return setProblem({ words: 'Make the new group first, or choose another.', field: 'group' });
    setBusy(true);
    setProblem(undefined);
    const answer = await askServer<TemplateAnswer | Refusal>('/api/templates', {
      name,
      startsFrom,
      group: group || null,
    });
    if (!('offline' in answer) && answer.body.result === 'done') {
      router.push(`/templates/${answer.body.key}${BEGIN}`);
      return router.refresh();
    }
    setBusy(false);
    if ('offline' in answer)
      return setProblem({ words: 'There is no connection. What you wrote is still here.' });
    const { body } = answer;
    if (body.result !== 'done')
      setProblem({ words: body.error, ...('field' in body && body.field ? { field: body.field } : {}) });
  }

  return (
    <article className="paper new-template" aria-labelledby="new-title">
      <div className="letter-head">
        <Link href="/templates" className="back-to-list">
          Templates
        </Link>
        <h1 id="new-title">A new template</h1>
        <p>
          A letter says it already? <Link href="/templates/from-letter">Make one of a letter</Link>
        </p>
      </div>
      <Form onSubmit={(event) => void make(event)} noValidate>
        <Form.Group controlId={`${id}-name`}>
          <Form.Label>Name</Form.Label>
          <Form.Control
            autoFocus
            value={name}
            maxLength={100}
            isInvalid={problem?.field === 'name'}
            aria-describedby={`${id}-help ${id}-problem`}
            onChange={(event) => setName(event.target.value)}
          />
          <Form.Text id={`${id}-help`}>For the team. Clients read the subject, not this.</Form.Text>
        </Form.Group>
        <fieldset className="starts-from">
          <legend className="form-label">It starts from</legend>
          {STARTING_POINTS.map((kind) => (
            <label key={kind}>
              <input
                type="radio"
                className="form-check-input"
                name={`${id}-starts`}
                checked={startsFrom === kind}
                onChange={() => setStartsFrom(kind)}
              />
              <span>
                {withArticle(called(kind))}
                <span className="entry-note">{WHEN[kind]}</span>
              </span>
            </label>
          ))}
        </fieldset>
        <GroupField
          groups={given}
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
        <Button type="submit" disabled={busy}>
          Make the template
        </Button>
      </Form>
    </article>
  );
}
