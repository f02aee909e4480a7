import Link from 'next/link';

interface Card {
  start: { kind: string; key: string };
  name: string;
  reason: string;
  template?: { key: string; name: string };
  beginning?: string;
  stops: number;
}

interface Props {
  today: {
    date: string;
    cards: Card[];
    more: number;
    visits: { key: string; time: string; name: string; service: string }[];
  };
}

/** What is worth writing now, each with its letter begun; and the day's visits. */
export function TodayPage({ today: { date, cards, more, visits } }: Props) {
  const letters = cards.length === 1 ? '1 letter' : `${cards.length + more} letters`;
  return (
    <div id="page" className="page-area today" tabIndex={-1}>
      <header className="today-head">
        <h1>{date}</h1>
        <p>
          {cards.length ? `${letters} worth writing` : 'Nothing waits to be written'},{' '}
          {visits.length === 0 ? 'no visit' : visits.length === 1 ? '1 visit' : `${visits.length} visits`}{' '}
          today
        </p>
      </header>
      <ol className="cards" aria-label="Worth writing">
        {cards.map((card, i) => (
          <li key={`${card.start.kind}:${card.start.key}`}>
            <TodayCard card={card} first={i === 0} />
          </li>
        ))}
      </ol>
      {cards.length === 0 && (
        <p className="hint">
          Visits that come near, enquiries and invoices that are open will stand here, each with the letter
          that fits.
        </p>
      )}
      {more > 0 && <p className="hint">{more} more when these are written.</p>}
      <aside className="today-visits" aria-labelledby="visits-title">
        <h2 id="visits-title">Visits today</h2>
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
    </div>
  );
}

function TodayCard({ card, first }: { card: Card; first: boolean }) {
  const { start, name, reason, template, beginning, stops } = card;
  const from = `/write?from=${encodeURIComponent(`${start.kind}:${start.key}`)}`;
  const href = template ? `${from}&template=${encodeURIComponent(template.key)}` : from;
  const titleId = `card-${start.kind}-${start.key}`;
  return (
    <article className="paper card-today" aria-labelledby={titleId}>
      <p className="card-reason">{reason}</p>
      <h2 id={titleId}>{name}</h2>
      {beginning && <p className="card-words">{beginning}</p>}
      <p className="card-actions">
        <Link
          href={href}
          prefetch={first}
          className={first ? 'btn btn-primary' : 'btn btn-link'}
          aria-describedby={titleId}
        >
          {template && !(first && stops === 0) ? template.name : 'Read and send'}
        </Link>
        {first && template && stops === 0 && <span className="card-reason">{template.name}</span>}
        {stops > 0 && (
          <span className="needs-you">
            {stops === 1 ? '1 thing is missing' : `${stops} things are missing`}
          </span>
        )}
      </p>
    </article>
  );
}
