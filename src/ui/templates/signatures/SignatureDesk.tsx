'use client';

import Link from 'next/link';
import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { SignatureToWrite } from '../../../core/contract/signatures';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { NamedDesk } from '../named/NamedDesk';
import { useNamedWords } from '../named/useNamedWords';
import { useInView } from '../useInView';

interface Props {
  owner: string;
  signature: SignatureToWrite;
  facts: WordsFacts;
}

/** A signature on a page of its own, whose it is, and which templates ask for it. */
export function SignatureDesk({ owner, signature, facts }: Props) {
  const { whose, templates, others } = signature;
  const [usual, setUsual] = useState(signature.usual);
  const id = useId();
  const writing = useNamedWords({
    owner,
    what: 'signature',
    words: signature,
    more: { usual },
    kept: 'Kept. Letters are signed so from now on.',
  });
  return (
    <NamedDesk
      kind="signature"
      writing={writing}
      changedToo={usual !== signature.usual}
      onUndo={() => setUsual(signature.usual)}
      startsFrom="client"
      facts={facts}
      view={useInView('client')}
      removable={templates.length + others === 0}
      about={
        <>
          <p>
            {whose === undefined
              ? 'The house’s: its fields are filled with whoever a letter comes from.'
              : `${whose}’s own.`}
          </p>
          {templates.length + others > 0 && (
            <p>
              Asked for by{' '}
              {templates.map(({ key, name }, i) => (
                <span key={key}>
                  {i > 0 && ', '}
                  <Link href={`/templates/${encodeURIComponent(key)}`}>{name}</Link>
                </span>
              ))}
              {others > 0 && `${templates.length ? ' and ' : ''}${others} that only others see`}.
            </p>
          )}
        </>
      }
      choices={
        <Form.Check
          id={`${id}-usual`}
          className="signature-usual"
          checked={usual}
          onChange={(event) => setUsual(event.target.checked)}
          label={
            whose === undefined
              ? 'The usual one, for whoever has none of their own'
              : 'The usual one, where a template asks for no other'
          }
        />
      }
    />
  );
}
