import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import type { StartingPoint } from '../core/records/which/situation';
import { recordPage } from '../server/records/recordPage';
import { showLetters } from '../server/letters/showLetters';
import { PaymentForm } from '../ui/records/PaymentForm';
import { RecordPaper } from '../ui/records/RecordPaper';
import { keyFrom } from './keyFrom';
import { requireMember } from './session';

const load = cache(async (kind: StartingPoint['kind'], key: string) =>
  recordPage(await requireMember(), { kind, key }),
);

export async function recordTitle(kind: StartingPoint['kind'], segment: string): Promise<Metadata> {
  return { title: (await load(kind, keyFrom(segment)))?.view.title ?? 'Nothing found' };
}

/** The page of a record of any kind. */
export async function RecordRoute({
  kind,
  segment,
  back,
}: {
  kind: StartingPoint['kind'];
  segment: string;
  back: { href: string; words: string };
}) {
  const found = await load(kind, keyFrom(segment));
  if (!found) notFound();
  const member = await requireMember();
  const letters = await showLetters(member, found.letters);
  const key = keyFrom(segment);
  return (
    <RecordPaper
      from={`${kind}:${key}`}
      back={back}
      view={found.view}
      words={member.words}
      letters={letters}
      {...(kind === 'client' ? { change: `/clients/${encodeURIComponent(key)}/change` } : {})}
    >
      {kind === 'invoice' && (
        <PaymentForm invoice={key} {...(found.payable ? { payable: found.payable } : {})} />
      )}
    </RecordPaper>
  );
}
