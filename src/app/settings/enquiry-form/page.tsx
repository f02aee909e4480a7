import { ownerKey } from '../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { ownEnquiryForm } from '../../../server/asking/enquiryForm';
import { passageNames } from '../../../server/templates/passages';
import { EnquiryFormForm } from '../../../ui/settings/EnquiryFormForm';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { ownOrigin } from '../../ownOrigin';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Form for your site' };

export default async function EnquiryFormPage() {
  const member = await requireMember();
  const { facts, token } = await ownEnquiryForm(member);
  return (
    <SettingsPaper
      title="Form for your site"
      note="Whoever fills it in stands among your enquiries, and on Today, until they are answered."
    >
      <EnquiryFormForm
        owner={ownerKey(member.business_id, member.key)}
        facts={facts}
        address={`${await ownOrigin()}/ask/${token}`}
        passages={(await passageNames(member)).map(({ key, name }) => [key, name] as const)}
      />
    </SettingsPaper>
  );
}
