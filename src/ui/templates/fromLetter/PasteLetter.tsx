'use client';

import Link from 'next/link';
import { useId, useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { LetterForTemplate } from '../../../core/contract/fromLetter';
import type { GroupedTemplates } from '../../../core/contract/list';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { withArticle } from '../../../core/fill/formats/article';
import type { BookingWords } from '../../../core/records/bookingWords';
import { plainText } from '../../../core/recognise/plainText';
import { STARTING_POINTS, type StartingKind } from '../../../core/records/recordKind';
import { LONGEST_WORDS } from '../../../core/template/text/tooLarge';
import { RecordInView } from '../RecordInView';
import { useInView } from '../useInView';
import { FromLetter } from './FromLetter';

interface Props {
  facts: WordsFacts;
  groups: readonly Pick<GroupedTemplates, 'key' | 'name'>[];
  words: BookingWords;
  /** milliseconds: what “today” is in a letter without a day */
  at: number;
  /** the key of whoever pastes it */
  member: string;
}

/** Takes the text of a letter from elsewhere, and which record it is about. */
export function PasteLetter({ facts, groups, words, at, member }: Props) {
  const [kind, setKind] = useState<StartingKind>('client');
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const [letter, setLetter] = useState<LetterForTemplate>();
  const view = useInView(kind);
  const id = useId();
  const called = (one: StartingKind) => (one === 'booking' ? words.booking : one);
  if (letter)
    return (
      <FromLetter
        letter={letter}
        facts={facts}
        groups={groups}
        words={words}
        onBack={() => setLetter(undefined)}
      />
    );

  function look(event: FormEvent) {
    event.preventDefault();
    const { start } = view;
    if (!text.trim()) return setProblem('Paste the letter first.');
    if (start === undefined) return setProblem('Choose what it was about first.');
    setProblem(undefined);
    const { subject, document } = plainText(text.replace(/\r\n?/g, '\n'));
    const name = view.starts?.find(({ key }) => key === start)?.name ?? start;
    setLetter({
      subject,
      document,
      start: { kind, key: start },
      at,
      member,
      to: name,
      day: 'pasted just now',
    });
  }

  return (
    <article className="paper new-template" aria-labelledby="paste-title">
      <div className="letter-head">
        <Link href="/templates" className="back-to-list">
          Templates
        </Link>
        <h1 id="paste-title">A template of a letter</h1>
        <p>What was one client’s alone is found in it, and becomes smart fields.</p>
      </div>
      <Form onSubmit={look} noValidate>
        <Form.Group controlId={`${id}-kind`}>
          <Form.Label>It was about</Form.Label>
          <Form.Select value={kind} onChange={(event) => setKind(event.target.value as StartingKind)}>
            {STARTING_POINTS.map((one) => (
              <option key={one} value={one}>
                {withArticle(called(one))}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <RecordInView label="Which one" called={called(kind)} view={view} />
        <Form.Group controlId={`${id}-text`}>
          <Form.Label>The letter</Form.Label>
          <Form.Control
            as="textarea"
            rows={12}
            value={text}
            maxLength={LONGEST_WORDS}
            aria-describedby={`${id}-help ${id}-problem`}
            onChange={(event) => setText(event.target.value)}
          />
          <Form.Text id={`${id}-help`}>
            As it was written to them. A first line “Subject: …” becomes the subject.
          </Form.Text>
        </Form.Group>
        <p id={`${id}-problem`} className="problem" role="alert">
          {problem}
        </p>
        <Button type="submit">Find what is theirs</Button>
      </Form>
    </article>
  );
}
