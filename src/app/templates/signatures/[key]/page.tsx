import { ownerKey } from '../../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { signatureToWrite } from '../../../../server/templates/signatures';
import { wordsFacts } from '../../../../server/templates/wordsContext';
import { SignatureDesk } from '../../../../ui/templates/signatures/SignatureDesk';
import { keyFrom } from '../../../keyFrom';
import { requireMember } from '../../../session';

type Props = { params: Promise<{ key: string }> };

const load = cache(async (key: string) => signatureToWrite(await requireMember(), keyFrom(key)));

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await load((await params).key))?.name ?? 'Nothing found' };
}

export default async function SignaturePage({ params }: Props) {
  const signature = await load((await params).key);
  if (!signature) notFound();
  const member = await requireMember();
  return (
    <SignatureDesk
      key={signature.key}
      owner={ownerKey(member.business_id, member.key)}
      signature={signature}
      facts={await wordsFacts(member)}
    />
  );
}
