import { ownerKey } from '../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { SET_UP_STEPS, type SetUpStep } from '../../../core/contract/settingUp';
import { mailAccount } from '../../../server/accounts/mailAccount';
import { listRecords } from '../../../server/lists/listRecords';
import { detailChoices } from '../../../server/settings/detailChoices';
import { memberDetails } from '../../../server/settings/memberDetails';
import { ownDetails } from '../../../server/settings/ownDetails';
import { firstTrial } from '../../../server/settingUp/firstTrial';
import { sendingServer } from '../../../server/settingUp/sendingServer';
import type { CurrentMember } from '../../../server/signIn/currentMember';
import { templatesByGroup } from '../../../server/templates/templatesByGroup';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { BusinessStep } from '../../../ui/settingUp/BusinessStep';
import { ClientsStep } from '../../../ui/settingUp/ClientsStep';
import { MemberStep } from '../../../ui/settingUp/MemberStep';
import { SendingStep } from '../../../ui/settingUp/SendingStep';
import { STEPS } from '../../../ui/settingUp/steps';
import { TemplatesStep } from '../../../ui/settingUp/TemplatesStep';
import { WhatElse } from '../../../ui/settingUp/WhatElse';
import { TrialStep } from '../../../ui/settingUp/TrialStep';
import { requireMember } from '../../session';

type Props = { params: Promise<{ step: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const step = stepOf((await params).step);
  return { title: step ? STEPS[step].title : 'Nothing found' };
}

export default async function StepPage({ params }: Props) {
  const step = stepOf((await params).step);
  if (!step) notFound();
  const { title, note } = STEPS[step];
  const place = `${SET_UP_STEPS.indexOf(step) + 1} of ${SET_UP_STEPS.length}`;
  return (
    <SettingsPaper
      title={title}
      note={note}
      back={{ href: '/today', words: `Setting up, ${place}: leave it for now` }}
    >
      {await CONTENT[step](await requireMember())}
      {step === 'trial' && <WhatElse />}
    </SettingsPaper>
  );
}

function stepOf(words: string): SetUpStep | undefined {
  return SET_UP_STEPS.find((step) => step === words);
}

const CONTENT: Readonly<Record<SetUpStep, (member: CurrentMember) => Promise<ReactNode>>> = {
  business: async (member) => {
    const { details, currencyStays } = await ownDetails(member);
    const choices = detailChoices(details.locale, details.time_zone);
    return <BusinessStep owner={ownerOf(member)} {...{ details, currencyStays, choices }} />;
  },
  member: async (member) => {
    const details = await memberDetails(member, member.key);
    return details && <MemberStep owner={ownerOf(member)} memberKey={member.key} details={details} />;
  },
  sending: async (member) => {
    const account = await mailAccount(member, 'sending', 'business');
    return <SendingStep server={sendingServer()} account={account?.facts.host} />;
  },
  clients: async (member) => {
    const { entries, next } = await listRecords(member, 'client');
    return (
      <ClientsStep
        owner={ownerOf(member)}
        clients={entries.map(({ key, name }) => ({ key, name }))}
        more={next !== undefined}
      />
    );
  },
  templates: async (member) => <TemplatesStep groups={await templatesByGroup(member)} />,
  trial: async (member) => {
    const { client, template } = await firstTrial(member);
    return client && template ? (
      <TrialStep client={{ key: client.key, name: client.name }} template={template} />
    ) : (
      <p className="form-part">
        A letter is filled for a client: <Link href="/setting-up/clients">write one down</Link> first.
      </p>
    );
  },
};

function ownerOf({ business_id, key }: CurrentMember): string {
  return ownerKey(business_id, key);
}
