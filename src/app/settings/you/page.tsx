import { ownerKey } from '../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { formGround } from '../../../server/records/formChoices';
import { memberDetails } from '../../../server/settings/memberDetails';
import { saidIn } from '../../../server/settings/saidIn';
import { MemberForm } from '../../../ui/settings/MemberForm';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'You' };

export default async function YouPage() {
  const member = await requireMember();
  const details = await memberDetails(member, member.key);
  if (!details) notFound();
  const others = (await formGround(member)).members.filter(([key]) => key !== member.key);
  return (
    <SettingsPaper title="You" note="What your letters say of you.">
      <MemberForm
        owner={ownerKey(member.business_id, member.key)}
        memberKey={member.key}
        details={details}
        said={await saidIn(member)}
      />
      {member.role === 'owner' && others.length > 0 && (
        <section className="form-part" aria-labelledby="others">
          <h2 id="others">The others</h2>
          <ul className="record-links">
            {others.map(([key, name]) => (
              <li key={key}>
                <Link href={`/settings/you/${encodeURIComponent(key)}`} prefetch={false}>
                  {name}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
    </SettingsPaper>
  );
}
