import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { clientChoices } from '../../../../server/clients/clientChoices';
import { clientFacts } from '../../../../server/clients/keepClient';
import { ClientForm } from '../../../../ui/clients/ClientForm';
import { SettingsPaper } from '../../../../ui/settings/SettingsPaper';
import { keyFrom } from '../../../keyFrom';
import { requireMember } from '../../../session';

type Props = { params: Promise<{ key: string }> };

const load = cache(async (key: string) => clientFacts(await requireMember(), key));

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await load(keyFrom((await params).key)))?.name ?? 'Nothing found' };
}

export default async function ChangeClientPage({ params }: Props) {
  const member = await requireMember();
  const key = keyFrom((await params).key);
  const facts = await load(key);
  if (!facts) notFound();
  const page = `/clients/${encodeURIComponent(key)}`;
  return (
    <SettingsPaper
      title={facts.name}
      note="A change holds for all letters to come; those that were sent stay as they are."
      back={{ href: page, words: 'Back' }}
    >
      <ClientForm
        key={key}
        owner={`${member.business_id} ${member.key}`}
        clientKey={key}
        facts={facts}
        {...await clientChoices(member)}
      />
    </SettingsPaper>
  );
}
