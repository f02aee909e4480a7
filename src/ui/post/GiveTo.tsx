'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { ShownLetter } from '../../core/contract/letters';
import type { Done } from '../../core/contract/refusal';
import { askServer } from '../writing/askServer';

interface Props {
  letter: Pick<ShownLetter, 'id' | 'member_key' | 'version'>;
  /** everybody of the business */
  members: readonly { key: string; name: string }[];
}

/** Who sees to a message that came in. */
export function GiveTo({ letter: { id, member_key, version }, members }: Props) {
  const router = useRouter();
  const [trouble, setTrouble] = useState<string>();

  async function give(member: string) {
    setTrouble(undefined);
    const asked = { member: member || null, version };
    const answer = await askServer<Done>(`/api/letters/${id}/member`, asked);
    if ('offline' in answer) return setTrouble('There is no connection. Nothing has changed.');
    if (answer.body.error !== undefined) return setTrouble(answer.body.error);
    router.refresh();
  }

  return (
    <Form.Group className="give-to" controlId={`give-${id}`}>
      <Form.Label>Who sees to it</Form.Label>
      <Form.Select size="sm" value={member_key ?? ''} onChange={(event) => void give(event.target.value)}>
        <option value="">Nobody in particular</option>
        {members.map(({ key, name }) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </Form.Select>
      {trouble && (
        <p className="problem" role="alert">
          {trouble}
        </p>
      )}
    </Form.Group>
  );
}
