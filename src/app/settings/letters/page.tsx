import type { Metadata } from 'next';
import { settingsOf } from '../../../server/settings';
import { LetterWays } from '../../../ui/settings/LetterWays';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { appUrl } from '../../ownAddress';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'How letters go' };

export default async function LetterWaysPage() {
  const member = await requireMember();
  return (
    <SettingsPaper title="How letters go" note="The same for everybody of the business.">
      <LetterWays settings={await settingsOf(member)} canTell={appUrl() !== undefined} />
    </SettingsPaper>
  );
}
