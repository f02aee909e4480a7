'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { BroughtAnswer } from '../../../core/contract/bringTemplates';
import type { Done } from '../../../core/contract/refusal';
import { useFocusWhen } from '../../shell/useFocusWhen';
import { askServer } from '../../writing/askServer';

interface Props {
  brought: Extract<BroughtAnswer, { result: 'done' }>;
  onMore: () => void;
}

/** What came in, which can go again at once. */
export function Brought({ brought: { templates, passages }, onMore }: Props) {
  const [away, setAway] = useState<'going' | 'gone'>();
  const [problem, setProblem] = useState<string>();
  const router = useRouter();
  const title = useFocusWhen<HTMLHeadingElement>(away === 'gone' ? away : 'brought');
  const made = templates.filter(({ isNew }) => isNew);

  async function takeAway() {
    setAway('going');
    setProblem(undefined);
    const keys = made.map(({ key }) => key);
    const answer = await askServer<Done>('/api/templates/brought', { keys }, 'DELETE');
    const said = 'offline' in answer ? 'There is no connection. They are still here.' : answer.body.error;
    setAway(said ? undefined : 'gone');
    setProblem(said);
    if (!said) router.refresh();
  }

  return (
    <section className="form-part" aria-labelledby="brought-title">
      <h2 id="brought-title" ref={title} tabIndex={-1}>
        {away === 'gone' ? 'In the trash' : 'Brought in'}
      </h2>
      <p role="status">
        {away === 'gone'
          ? 'The new ones are in the trash, from where they can be put back.'
          : `${templates.length === 1 ? 'One template' : `${templates.length} templates`} came in${
              passages ? `, with ${passages === 1 ? 'a passage' : `${passages} passages`}` : ''
            }.`}
      </p>
      {away !== 'gone' && (
        <ul className="brought-list">
          {templates.map(({ key, name, isNew }) => (
            <li key={key}>
              <Link href={`/templates/${key}`} prefetch={false}>
                {name}
              </Link>
              {!isNew && <span className="entry-note"> a new version</span>}
            </li>
          ))}
        </ul>
      )}
      <p className="problem" role="alert">
        {problem}
      </p>
      <Button onClick={onMore}>Bring in more</Button>{' '}
      {away !== 'gone' && made.length > 0 && (
        <Button variant="link" disabled={away === 'going'} onClick={() => void takeAway()}>
          {made.length === 1
            ? 'Put it in the trash again'
            : `Put the ${made.length} new ones in the trash again`}
        </Button>
      )}
    </section>
  );
}
