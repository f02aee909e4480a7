import type { ReactNode } from 'react';
import { listRecords } from '../../server/lists/listRecords';
import { RecordIndex } from '../../ui/records/RecordIndex';
import { PageArea } from '../../ui/shell/PageArea';
import { Shell } from '../../ui/shell/Shell';
import { requireMember } from '../session';

export default async function ClientsLayout({ children }: { children: ReactNode }) {
  const member = await requireMember();
  return (
    <Shell member={member}>
      <RecordIndex
        title="Clients"
        first={await listRecords(member, 'client')}
        source="/api/lists/client"
        path="/clients"
        find="Find a client"
        keys={[
          { href: '/clients/new', words: 'New client' },
          { href: '/settings/bring-in', words: 'From a file' },
        ]}
        empty="There is no client yet. The people and places you work for will stand here."
      />
      <PageArea>{children}</PageArea>
    </Shell>
  );
}
