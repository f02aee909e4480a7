import type { Metadata } from 'next';
import { SharedPage } from '../../ui/device/SharedPage';
import { Shell } from '../../ui/shell/Shell';
import { requireMember } from '../session';

export const metadata: Metadata = { title: 'Shared' };

export default async function Share() {
  return (
    <Shell member={await requireMember()}>
      <div id="page" className="page-area page-alone" tabIndex={-1}>
        <SharedPage />
      </div>
    </Shell>
  );
}
