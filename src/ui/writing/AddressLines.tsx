import type { ReactNode } from 'react';
import type { Addressing } from '../../core/addressing/addressingOf';
import type { Addressee } from '../../core/fill/filled';

interface Props {
  addressing: Addressing;
  /** whom it goes to */
  children: ReactNode;
}

/** Every address of a letter, as its head shows them. */
export function AddressLines({ addressing: { from, copies, blindCopies, replyTo }, children }: Props) {
  return (
    <dl>
      <dt>To</dt>
      <dd>{children}</dd>
      <dt>From</dt>
      <dd>{written([from])}</dd>
      <dt>Copy</dt>
      <dd>{copies.length ? written(copies) : 'none'}</dd>
      {blindCopies.length > 0 && (
        <>
          <dt>Blind copy</dt>
          <dd>{written(blindCopies)}</dd>
        </>
      )}
      {replyTo.length > 0 && (
        <>
          <dt>Reply to</dt>
          <dd>{written(replyTo)}</dd>
        </>
      )}
    </dl>
  );
}

function written(people: readonly Addressee[]): string {
  return people
    .map(({ name, email }) => (name && email ? `${name} (${email})` : name || email || 'no address'))
    .join(', ');
}
