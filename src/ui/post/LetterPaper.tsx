import Link from 'next/link';
import { needsSomebody, whatIsKnown } from '../../core/cures/cures';
import { Along } from './Along';
import { AsItCame } from './AsItCame';
import { CameIn } from './CameIn';
import { Cures } from './Cures';
import { LetterFrame } from './LetterFrame';
import type { Asks, ShownLetter } from '../../core/contract/letters';
import { LetterState } from './LetterState';
import { Quoted } from './Quoted';
import { TakeBack } from './TakeBack';
import { WriteOn } from './WriteOn';

interface Props {
  letter: ShownLetter;
  /** everybody of the business, where somebody is to see to it */
  members: readonly { key: string; name: string }[];
  waits?: string;
  asks?: Asks;
}

/**
 * A letter as it was sent or came, with its states.
 * @param waits why it has not gone though its time has come
 * @param asks of one from somebody unknown: what they seem to ask
 */
export function LetterPaper({ letter, members, waits, asks }: Props) {
  const {
    id,
    subject,
    direction,
    from_name,
    from_address,
    recipients,
    attachments,
    client,
    client_key,
    about,
    template,
    member,
  } = letter;
  const from = from_address ? `${from_name ?? ''} (${from_address})`.trim() : from_name || undefined;
  const as = (role: string) =>
    recipients
      .filter((one) => one.role === role)
      .map(({ name, address }) => (name ? `${name} (${address})` : address))
      .join(', ');
  const heads = [
    ['From', from ?? (direction === 'in' ? client : member) ?? ''],
    ['To', as('to')],
    ['Copy', as('copy')],
    ['Blind copy', as('blind copy')],
  ].filter(([, value]) => value);
  return (
    <div className="with-margin">
      <article className="paper letter" aria-labelledby="letter-title">
        <div className="address-head">
          <Link href="/post" className="back-to-list">
            Post
          </Link>
          <dl>
            {heads.map(([label, value]) => (
              <div key={label} className="head-line">
                <dt>{label}</dt>
                <dd>{value}</dd>
              </div>
            ))}
            {attachments.length > 0 && (
              <div className="head-line">
                <dt>With it</dt>
                <dd>
                  <Along letter={letter} />
                </dd>
              </div>
            )}
          </dl>
        </div>
        <div className="letter-body">
          <h1 id="letter-title" className="subject">
            {subject || 'Text message'}
          </h1>
          {letter.hasHtml && direction === 'out' ? (
            <LetterFrame id={id} title={`The letter: ${subject}`} />
          ) : (
            <p className="letter-text">{letter.text.trim()}</p>
          )}
          <Quoted letter={letter} />
          {letter.hasHtml && direction === 'in' && <AsItCame letter={letter} />}
        </div>
      </article>
      <aside className="states" aria-label="What became of it">
        <p>
          <LetterState status={letter.status} came_as={letter.came_as} />
        </p>
        {needsSomebody(letter) ? (
          <>
            {whatIsKnown(letter).map((words) => (
              <p key={words} className="needs-you">
                {words}
              </p>
            ))}
            <Cures key={letter.version} letter={letter} onPage />
          </>
        ) : (
          <>
            {letter.reason && letter.reason !== letter.events.at(-1)?.detail && (
              <p className={letter.status === 'going' ? 'waiting' : 'needs-you'}>{letter.reason}</p>
            )}
            {waits && <p className="waiting">It waits. {waits}</p>}
            {letter.goes && (
              <p className="waiting">
                It goes {letter.goes}. It is filled again then, and waits for you if anything has changed.
              </p>
            )}
            {letter.canBeWrittenOn ? (
              <WriteOn id={id} />
            ) : (
              <TakeBack id={id} going={letter.status === 'going'} />
            )}
          </>
        )}
        {direction === 'in' && <CameIn letter={letter} asks={asks} members={members} />}
        {letter.settled_by && <p className="in-order">Dealt with by {letter.settled_by}.</p>}
        <ol>
          {letter.events.map((event, i) => (
            <li key={i}>
              {event.kind}, <time dateTime={event.at}>{event.day}</time>
              {event.detail && <span className="entry-note">{event.detail}</span>}
            </li>
          ))}
        </ol>
        {template && <p>From the template “{template}”.</p>}
        {direction === 'out' && letter.kind !== 'text' && client_key && (
          <p>
            <Link href={`/templates/from-letter?letter=${id}`} prefetch={false}>
              Make a template of it
            </Link>
          </p>
        )}
        {client && client_key && (
          <p>
            <Link href={`/clients/${encodeURIComponent(client_key)}`}>{client}</Link>
          </p>
        )}
        {about && about.kind !== 'client' && (
          <p>
            <Link
              href={`/work/${about.kind === 'enquiry' ? 'enquiries' : `${about.kind}s`}/${encodeURIComponent(about.key)}`}
            >
              {about.name}
            </Link>
          </p>
        )}
      </aside>
    </div>
  );
}
