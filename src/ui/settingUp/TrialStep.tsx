'use client';

import type { ComponentProps } from 'react';
import { SendTrial } from '../templates/SendTrial';
import { StepFoot } from './StepFoot';

interface Props {
  client: { key: string; name: string };
  template: { key: string; name: string } & Pick<ComponentProps<typeof SendTrial>, 'text' | 'members'>;
}

/** A first letter, filled for a client and sent to a member alone. */
export function TrialStep({ client, template: { key, name, text, members } }: Props) {
  return (
    <>
      <section className="form-part" aria-label="A trial">
        <p>
          “{name}”, filled for {client.name}: see how it arrives. {client.name} gets nothing.
        </p>
        <SendTrial templateKey={key} from={`client:${client.key}`} text={text} members={members} />
      </section>
      <StepFoot step="trial" button="All set up" />
    </>
  );
}
