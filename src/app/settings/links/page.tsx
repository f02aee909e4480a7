import { ownerKey } from '../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { ownLinks } from '../../../server/settings/ownFields';
import { saidIn } from '../../../server/settings/saidIn';
import { OwnLinksForm } from '../../../ui/settings/OwnLinksForm';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Links' };

export default async function LinksPage() {
  const member = await requireMember();
  return (
    <SettingsPaper
      title="Links"
      note="Guides, forms, a page for reviews: kept once, and said in letters by their names."
    >
      <OwnLinksForm
        owner={ownerKey(member.business_id, member.key)}
        facts={await ownLinks(member)}
        said={await saidIn(member)}
      />
    </SettingsPaper>
  );
}
