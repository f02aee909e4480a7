import type { Metadata } from 'next';
import { ownerKey } from '../../../core/contract/ownerKey';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { SignedInAtProvider } from '../../../ui/settings/accounts/SignedInAtProvider';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Signed in at your provider' };

type Props = { searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> };

export default async function SignedInPage({ searchParams }: Props) {
  const member = await requireMember();
  const asked = await searchParams;
  const said = (name: string) => (typeof asked[name] === 'string' ? asked[name].slice(0, 4_000) : undefined);
  return (
    <SettingsPaper title="Signed in at your provider" note="The account is tried, and kept where it serves.">
      <SignedInAtProvider
        owner={ownerKey(member.business_id, member.key)}
        code={said('code')}
        state={said('state')}
        error={said('error')?.slice(0, 200)}
      />
    </SettingsPaper>
  );
}
