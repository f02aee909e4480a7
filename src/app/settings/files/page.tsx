import type { Metadata } from 'next';
import { listOwnFiles } from '../../../server/files/ownFiles';
import { roomLeft } from '../../../server/files/room';
import { OwnFileList } from '../../../ui/files/OwnFileList';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Files' };

export default async function OwnFilesPage() {
  const member = await requireMember();
  return (
    <SettingsPaper
      title="Files"
      note="Price lists, terms, directions: kept once, and named by the templates whose letters they go along with."
    >
      <OwnFileList
        files={await listOwnFiles(member)}
        left={await roomLeft(member)}
        mayChange={member.changesShared}
      />
    </SettingsPaper>
  );
}
