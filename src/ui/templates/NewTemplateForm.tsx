'use client';

import { useId, useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Link from 'next/link';
import type { GroupedTemplates } from '../../core/contract/list';
import { withArticle } from '../../core/fill/formats/article';
import type { BookingWords } from '../../core/records/bookingWords';
import { STARTING_POINTS, type StartingKind } from '../../core/records/recordKind';
import { GroupField } from './GroupField';
import { TemplateNameField } from './TemplateNameField';
import { useMakeTemplate } from './useMakeTemplate';
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
  const { problem, busy, make, mend } = useMakeTemplate(BEGIN);
  const id = useId();
  const called = (kind: StartingKind) => (kind === 'booking' ? words.booking : kind);

  function submit(event: FormEvent) {
    event.preventDefault();
    void make({ name, startsFrom, group });
  }

  return (
    <article className="paper new-template" aria-labelledby="new-title">
      <div className="letter-head">
        <Link href="/templates" className="back-to-list">
          Templates
        </Link>
        <h1 id="new-title">A new template</h1>
        <p>
          <Link href="/templates/from-letter">Make one of a letter that says it already</Link>
        </p>
        <p>
          <Link href="/templates/bring-in">Bring some in from files</Link>
        </p>
      </div>
      <Form onSubmit={submit} noValidate>
        <TemplateNameField
          autoFocus
          value={name}
          isWrong={problem?.field === 'name'}
          problem={`${id}-problem`}
          onChange={setName}
        />
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
            mend();
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
