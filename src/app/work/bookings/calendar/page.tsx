import type { Metadata } from 'next';
import { CALENDAR_VIEWS } from '../../../../core/contract/calendar';
import { calendar } from '../../../../server/records/calendar';
import { PageArea } from '../../../../ui/shell/PageArea';
import { Shell } from '../../../../ui/shell/Shell';
import { CalendarPage } from '../../../../ui/work/calendar/CalendarPage';
import type { Asked } from '../../../beginningFrom';
import { requireMember } from '../../../session';

export const metadata: Metadata = { title: 'Calendar' };

export default async function BookingCalendar({ searchParams }: { searchParams: Promise<Asked> }) {
  const member = await requireMember();
  const { view, day } = await searchParams;
  const shown = CALENDAR_VIEWS.find((one) => one === view);
  const asked = typeof day === 'string' ? day : undefined;
  return (
    <Shell member={member}>
      <PageArea>
        <CalendarPage calendar={await calendar(member, shown ?? 'week', asked)} words={member.words} />
      </PageArea>
    </Shell>
  );
}
