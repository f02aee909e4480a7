import Link from 'next/link';
import type { ReactNode } from 'react';
import type { RecordView } from '../../core/describe/viewParts';
import { capital } from '../../core/describe/capital';
import type { BookingWords } from '../../core/records/bookingWords';
import { recordPath } from './recordPath';
import type { ShownLetter } from '../../core/contract/letters';
import { FollowLetters } from '../post/FollowLetters';
import { Letters } from '../post/Letters';
import { LettersInAndOut } from '../post/LettersInAndOut';
import { writePath } from '../../core/writing/writePath';

interface Props {
  /** `invoice:LPC-1048` */
  from: string;
  /** the list it came from */
  back: { href: string; words: string };
  view: RecordView;
  words: BookingWords;
  /** what is to be known before a letter is begun from it, in sentences */
  beforeWriting?: readonly string[];
  /** absent: it has none of its own */
  letters?: ShownLetter[];
  /** where its facts are changed, where they can be */
  change?: string;
  /** what can be done about the record besides writing */
  children?: ReactNode;
  /** its files, behind what hangs on it */
  files?: ReactNode;
  /** what stands at the end */
  foot?: ReactNode;
}

const headings = ({ bookings }: BookingWords, items = '') => [
  { kind: 'item', title: items },
  { kind: 'enquiry', title: 'Enquiries' },
  { kind: 'project', title: 'Projects' },
  { kind: 'booking', title: capital(bookings) },
  { kind: 'invoice', title: 'Invoices' },
];

/** A record on paper: its facts, what hangs on it, and its letters. */
export function RecordPaper({
  from,
  back,
  view,
  words,
  beforeWriting = [],
  letters,
  change,
  children,
  files,
  foot,
}: Props) {
  const { title, note, facts, tables, links, items, client } = view;
  return (
    <article className="paper letter record" aria-labelledby="record-title">
      <header className="record-head">
        <div>
          <Link href={back.href} className="back-to-list">
            {back.words}
          </Link>
          <h1 id="record-title">{title}</h1>
          <p>
            {client && (
              <>
                <Link href={`/clients/${encodeURIComponent(client.key)}`}>{client.name}</Link>,{' '}
              </>
            )}
            {note}
          </p>
          {change && (
            <Link href={change} prefetch={false} className="record-change">
              Change
            </Link>
          )}
        </div>
        <Link href={writePath(from)} className="btn btn-primary">
          Write
        </Link>
      </header>
      {beforeWriting.length > 0 && (
        <ul className="before-writing" aria-label="Before you write">
          {beforeWriting.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      <dl className="facts">
        {facts.map(({ label, value }) => (
          <div key={label}>
            <dt>{label}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      {children}
      {tables.map((table) => (
        <section key={table.title}>
          <h2>{table.title}</h2>
          <div className="table-holder" tabIndex={0} role="region" aria-label={table.title}>
            <table className={table.sums ? `sums-${table.sums}` : undefined}>
              <thead>
                <tr>
                  {table.columns.map((column) => (
                    <th key={column} scope="col">
                      {column}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {table.rows.map((row, i) => (
                  <tr key={i}>
                    {row.map((cell, j) => {
                      const link = j === 0 ? table.links?.[i] : undefined;
                      return (
                        <td key={j}>
                          {link ? (
                            <Link href={recordPath(link)} prefetch={false}>
                              {cell}
                            </Link>
                          ) : (
                            cell
                          )}
                        </td>
                      );
                    })}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </section>
      ))}
      {headings(words, items).map(({ kind, title: heading }) => {
        const own = links.filter((link) => link.kind === kind);
        return (
          own.length > 0 && (
            <section key={kind}>
              <h2>{heading}</h2>
              <ul className="record-links">
                {own.map((link) => (
                  <li key={link.key}>
                    <Link href={recordPath(link)} prefetch={false}>
                      {link.name}
                    </Link>
                    <span className="entry-note">{link.note}</span>
                  </li>
                ))}
              </ul>
            </section>
          )
        );
      })}
      {files}
      {letters && (
        <section id="letters">
          <h2>Letters</h2>
          <FollowLetters />
          <Letters letters={letters} />
          {from.startsWith('client:') && <LettersInAndOut client={from.slice('client:'.length)} />}
        </section>
      )}
      {foot}
    </article>
  );
}
