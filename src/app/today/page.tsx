import type { Metadata } from 'next';
import { today } from '../../server/today';
import { Shell } from '../../ui/shell/Shell';
import { TodayPage } from '../../ui/today/TodayPage';
import { requireMember } from '../session';

export const metadata: Metadata = { title: 'Today' };

export default async function Today() {
  const member = await requireMember();
  return (
    <Shell member={member}>
      <TodayPage today={await today(member)} />
    </Shell>
  );
}
