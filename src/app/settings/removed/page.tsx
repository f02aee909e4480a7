import type { Metadata } from 'next';
import { removedRecords } from '../../../server/records/removeRecord';
import { RemovedList } from '../../../ui/settings/RemovedList';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Removed' };

export default async function RemovedPage() {
  const member = await requireMember();
  return (
    <SettingsPaper title="Removed" note="Records that were removed can be put back for 30 days.">
      <RemovedList
        removed={(await removedRecords(member)).map(({ id, kind, name, day, member: by }) => ({
          id,
          name,
          note: `${kind === 'booking' ? member.words.booking : kind}, removed ${day} by ${by}`,
        }))}
      />
    </SettingsPaper>
  );
}
