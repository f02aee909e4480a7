import { ownerKey } from '../../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { shorthandToWrite } from '../../../../server/templates/shorthand';
import { templatesByGroup } from '../../../../server/templates/templatesByGroup';
import { wordsFacts } from '../../../../server/templates/wordsContext';
import { ShorthandDesk } from '../../../../ui/templates/shorthand/ShorthandDesk';
import { keyFrom } from '../../../keyFrom';
import { requireMember } from '../../../session';

type Props = { params: Promise<{ key: string }> };

const load = cache(async (key: string) => shorthandToWrite(await requireMember(), keyFrom(key)));

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await load((await params).key))?.name ?? 'Nothing found' };
}

export default async function ShorthandPage({ params }: Props) {
  const shorthand = await load((await params).key);
  if (!shorthand) notFound();
  const member = await requireMember();
  return (
    <ShorthandDesk
      key={shorthand.key}
      owner={ownerKey(member.business_id, member.key)}
      shorthand={shorthand}
      facts={await wordsFacts(member)}
      groups={(await templatesByGroup(member)).filter(({ key }) => key)}
    />
  );
}
