import type { ReactNode } from 'react';
import { settingUp } from '../../server/settingUp/setUp';
import { SetUpIndex } from '../../ui/settingUp/SetUpIndex';
import { PageArea } from '../../ui/shell/PageArea';
import { Shell } from '../../ui/shell/Shell';
import { requireMember } from '../session';

export default async function SettingUpLayout({ children }: { children: ReactNode }) {
  const member = await requireMember();
  return (
    <Shell member={member}>
      <SetUpIndex setUp={await settingUp(member)} />
      <PageArea>{children}</PageArea>
    </Shell>
  );
}
