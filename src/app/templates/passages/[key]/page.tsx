import { ownerKey } from '../../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { passageToWrite } from '../../../../server/templates/passages';
import { templatesByGroup } from '../../../../server/templates/templatesByGroup';
import { wordsFacts } from '../../../../server/templates/wordsContext';
import { PassageDesk } from '../../../../ui/templates/passages/PassageDesk';
import { keyFrom } from '../../../keyFrom';
import { requireMember } from '../../../session';

type Props = { params: Promise<{ key: string }> };

const load = cache(async (key: string) => passageToWrite(await requireMember(), keyFrom(key)));

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await load((await params).key))?.name ?? 'Nothing found' };
}

export default async function PassagePage({ params }: Props) {
  const passage = await load((await params).key);
  if (!passage) notFound();
  const member = await requireMember();
  return (
    <PassageDesk
      key={passage.key}
      owner={ownerKey(member.business_id, member.key)}
      passage={passage}
      facts={await wordsFacts(member)}
      groups={(await templatesByGroup(member)).filter(({ key }) => key)}
    />
  );
}
