import type { Metadata } from 'next';
import { signingDomains } from '../../../server/accounts/signing';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { SignedDomain } from '../../../ui/settings/SignedDomain';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Signed letters' };

export default async function SigningPage() {
  const member = await requireMember();
  const domains = await signingDomains(member);
  return (
    <SettingsPaper
      title="Signed letters"
      note="A signature (DKIM) shows to the mail servers of your readers that a letter comes from you and was not changed. Many mail providers sign by themselves: then you need none here."
    >
      {domains.map((domain) => (
        <SignedDomain key={domain.domain} domain={domain} mayChange={member.role === 'owner'} />
      ))}
    </SettingsPaper>
  );
}
