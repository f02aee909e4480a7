import type { ReactNode } from 'react';
import { SettingsIndex } from '../../ui/settings/SettingsIndex';
import { PageArea } from '../../ui/shell/PageArea';
import { Shell } from '../../ui/shell/Shell';
import { requireMember } from '../session';

export default async function SettingsLayout({ children }: { children: ReactNode }) {
  return (
    <Shell member={await requireMember()}>
      <SettingsIndex />
      <PageArea>{children}</PageArea>
    </Shell>
  );
}
