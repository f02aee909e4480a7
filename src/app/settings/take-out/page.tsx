import type { Metadata } from 'next';
import { ownCalendarFeed } from '../../../server/calendar/calendarFeed';
import { CalendarFeed } from '../../../ui/settings/CalendarFeed';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { ownOrigin } from '../../ownOrigin';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Take out' };

export default async function TakeOutPage() {
  const member = await requireMember();
  const feed = await ownCalendarFeed(member);
  return (
    <SettingsPaper title="Take out" note="What is yours, for other programs and for keeping.">
      <section className="form-part" aria-label="Everything">
        <h2>Everything</h2>
        <p>
          All records as tables, cards and a calendar, templates as text, letters as messages, files as they
          are, and what brings it all back: one zip. Nobody’s password is in it. Keep it where nobody else
          reads it.
        </p>
        {member.role === 'owner' ? (
          <a className="btn btn-outline-primary" href="/api/business/archive" download>
            Take everything out
          </a>
        ) : (
          <p className="field-help">An owner of the business does this.</p>
        )}
      </section>
      <CalendarFeed
        base={`${await ownOrigin()}/calendar`}
        token={feed?.token}
        bookings={member.words.bookings}
      />
    </SettingsPaper>
  );
}
