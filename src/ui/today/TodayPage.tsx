import Link from 'next/link';
import { capital } from '../../core/describe/capital';
import type { BookingWords } from '../../core/records/bookingWords';
import { OccasionCard, type Card } from './OccasionCard';
import { ReminderSpacing } from './ReminderSpacing';

interface Props {
  today: {
    date: string;
    cards: Card[];
    more: number;
    visits: { key: string; time: string; name: string; service: string }[];
    words: BookingWords;
    reminderSpacing: number;
  };
}

/** What is worth writing now, each with its letter begun; and the day's visits. */
export function TodayPage({ today: { date, cards, more, visits, words, reminderSpacing } }: Props) {
  const count = cards.length + more;
  const heading = `${capital(words.bookings)} today`;
  return (
    <div id="page" className="page-area today" tabIndex={-1}>
      <header className="today-head">
        <h1>{date}</h1>
        <p>
          {count === 0
            ? 'Nothing waits to be written'
            : count === 1
              ? '1 letter worth writing'
              : `${count} letters worth writing`}
          ,{' '}
          {visits.length === 0
            ? `no ${words.booking}`
            : visits.length === 1
              ? `1 ${words.booking}`
              : `${visits.length} ${words.bookings}`}{' '}
          today
        </p>
      </header>
      <aside className="today-visits" aria-labelledby="visits-title">
        <h2 id="visits-title">{heading}</h2>
        {visits.length === 0 && <p className="entry-note">None.</p>}
        <ul>
          {visits.map(({ key, time, name, service }) => (
            <li key={key}>
              <Link href={`/work/bookings/${encodeURIComponent(key)}`}>
                <b>{time}</b> {name}
                <span className="entry-note">{service}</span>
              </Link>
            </li>
          ))}
        </ul>
      </aside>
      <ol className="cards" aria-label="Worth writing">
        {cards.map((card) => (
          <li key={card.id}>
            <OccasionCard card={card} />
          </li>
        ))}
      </ol>
      {cards.length === 0 && (
        <p className="hint">
          {`What comes near, was asked, is owed, was paid or is finished will stand here, each with the letter that fits.`}
        </p>
      )}
      {more > 0 && <p className="hint">{more} more when these are written.</p>}
      <ReminderSpacing days={reminderSpacing} />
    </div>
  );
}
