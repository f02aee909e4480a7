import type { Metadata } from 'next';
import { mayInvite } from '../../../server/settingUp/invitations';
import { InviteForm } from '../../../ui/settings/InviteForm';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { ownOrigin } from '../../ownOrigin';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Another business' };

export default async function InvitePage() {
  const member = await requireMember();
  return (
    <SettingsPaper title="Another business" note="Somebody else’s, beside yours on the same server.">
      {(await mayInvite(member)) ? (
        <InviteForm base={`${await ownOrigin()}/sign-in`} />
      ) : (
        <p className="form-part">An owner of the first business here invites others.</p>
      )}
    </SettingsPaper>
  );
}
