import type { Metadata } from 'next';
import { answersWaiting } from '../../server/incoming/answersWaiting';
import { needsSomebody } from '../../server/sending/needsSomebody';
import { settingUp } from '../../server/settingUp/setUp';
import { settingsOf } from '../../server/settings';
import { today } from '../../server/today/today';
import { TodayPage } from '../../ui/today/TodayPage';
import { requireMember } from '../session';

export const metadata: Metadata = { title: 'Today' };

export default async function Today() {
  const member = await requireMember();
  const [shown, needs, waiting, settings, setUp] = await Promise.all([
    today(member),
    needsSomebody(member),
    answersWaiting(member),
    settingsOf(member),
    settingUp(member),
  ]);
  return (
    <TodayPage
      today={shown}
      needs={needs}
      waiting={waiting}
      me={member.key}
      settings={settings}
      {...(setUp ? { setUp } : {})}
    />
  );
}
