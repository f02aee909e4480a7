import type { ReactNode } from 'react';
import { Shell } from '../../ui/shell/Shell';
import { requireMember } from '../session';

export default async function TodayLayout({ children }: { children: ReactNode }) {
  return <Shell member={await requireMember()}>{children}</Shell>;
}
