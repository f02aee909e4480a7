import { ownerKey } from '../../core/contract/ownerKey';
import type { ReactNode } from 'react';
import { passageNames } from '../../server/templates/passages';
import { templatesByGroup } from '../../server/templates/templatesByGroup';
import { PageArea } from '../../ui/shell/PageArea';
import { Shell } from '../../ui/shell/Shell';
import { TemplateIndex } from '../../ui/templates/TemplateIndex';
import { requireMember } from '../session';

export default async function TemplatesLayout({ children }: { children: ReactNode }) {
  const member = await requireMember();
  const [groups, passages] = await Promise.all([templatesByGroup(member), passageNames(member)]);
  return (
    <Shell member={member}>
      <TemplateIndex owner={ownerKey(member.business_id, member.key)} groups={groups} passages={passages} />
      <PageArea>{children}</PageArea>
    </Shell>
  );
}
