import { ownerKey } from '../../core/contract/ownerKey';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { Palette } from '../palette/Palette';
import { KeptPage } from '../device/KeptPage';
import { AfterPage } from './AfterPage';
import { Keys } from './Keys';
import { Places } from './Places';
import { SignOutButton } from './SignOutButton';

interface Props {
  member: {
    full_name: string;
    business_id: string;
    business_name: string;
    key: string;
    deviceDays: number;
  };
  /** the index of the place, and the page */
  children: ReactNode;
}

/** The frame of every place: the places, and what stands there. */
export function Shell({ member, children }: Props) {
  const owner = ownerKey(member.business_id, member.key);
  return (
    <div className="shell" data-owner={owner}>
      <a className="visually-hidden-focusable skip" href="#page">
        Skip to the page
      </a>
      <header className="places">
        <Link href="/today" prefetch={false} className="wordmark">
          Fair
          <br className="wide-only" /> Quill<span aria-hidden="true">.</span>
        </Link>
        <Places />
        <div className="who">
          <Link href="/settings" prefetch={false} className="who-link">
            {member.full_name}
          </Link>
          <span>{member.business_name}</span>
          <Palette />
          <Keys />
          <SignOutButton owner={owner} />
        </div>
      </header>
      <div className="device-notes">
        <KeptPage owner={owner} days={member.deviceDays} />
        <AfterPage owner={owner} />
      </div>
      <main className="place-area">{children}</main>
    </div>
  );
}
