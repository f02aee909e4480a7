import type { ReactNode } from 'react';
import { templatesByGroup } from '../../server/templatesByGroup';
import { Shell } from '../../ui/shell/Shell';
import { TemplateIndex } from '../../ui/templates/TemplateIndex';
import { requireMember } from '../session';

export default async function TemplatesLayout({ children }: { children: ReactNode }) {
  const member = await requireMember();
  const groups = await templatesByGroup(member);
  return (
    <Shell
      member={member.full_name}
      business={member.business_name}
      index={<TemplateIndex groups={groups} />}
    >
      {children}
    </Shell>
  );
}
