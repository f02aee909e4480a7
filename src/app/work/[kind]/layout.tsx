import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { listRecords } from '../../../server/lists/listRecords';
import { RecordIndex } from '../../../ui/records/RecordIndex';
import { WorkKinds } from '../../../ui/records/WorkKinds';
import { PageArea } from '../../../ui/shell/PageArea';
import { Shell } from '../../../ui/shell/Shell';
import { requireMember } from '../../session';
import { WORK_KINDS } from '../kinds';

type Props = { params: Promise<{ kind: string }>; children: ReactNode };

export default async function WorkLayout({ params, children }: Props) {
  const member = await requireMember();
  const { kind } = await params;
  const work = WORK_KINDS.get(kind);
  if (!work) notFound();
  const { kind: record, find, empty, make } = work;
  return (
    <Shell member={member}>
      <RecordIndex
        key={kind}
        title="Work"
        kinds={<WorkKinds kind={kind} words={member.words} />}
        first={await listRecords(member, record)}
        source={`/api/lists/${record}`}
        path={`/work/${kind}`}
        keys={[
          { href: `/work/${kind}/new`, words: make(member.words) },
          ...(kind === 'bookings' ? [{ href: '/work/bookings/calendar', words: 'Calendar' }] : []),
        ]}
        find={find(member.words)}
        empty={empty(member.words)}
      />
      <PageArea>{children}</PageArea>
    </Shell>
  );
}
