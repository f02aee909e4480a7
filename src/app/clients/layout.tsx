import type { ReactNode } from 'react';
import { listClients } from '../../server/lists';
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
        entries={await listClients(member)}
        path="/clients"
        find="Find a client"
        empty="There is no client yet. The people and places you work for will stand here."
      />
      <PageArea>{children}</PageArea>
    </Shell>
  );
}
