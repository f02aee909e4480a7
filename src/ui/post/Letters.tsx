import Link from 'next/link';
import type { ShownLetter } from '../../core/contract/letters';
import { LetterState } from './LetterState';
import { TakeBack } from './TakeBack';

/** A run of correspondence: pages one after another, their dates in the margin, newest first. */
export function Letters({ letters }: { letters: ShownLetter[] }) {
  if (letters.length === 0)
    return <p className="hint">Nothing has been written yet. Letters and answers will stand here.</p>;
  return (
    <ol className="correspondence">
      {letters.map((letter) => (
        <li key={letter.id} className={letter.direction === 'in' ? 'came-in' : undefined}>
          <p className="letter-date">
            <time dateTime={letter.at}>{letter.day}</time>
            <LetterState status={letter.status} />
          </p>
          <article aria-label={letter.subject || 'Text message'}>
            <p className="letter-who">{whoToWhom(letter)}</p>
            <h3>
              <Link href={`/post/${letter.id}`} prefetch={false}>
                {letter.subject || (letter.kind === 'text' ? 'Text message' : 'Without a subject')}
              </Link>
            </h3>
            <p className="letter-text">{letter.text.trim()}</p>
            {letter.goes && <p className="waiting">It goes {letter.goes}.</p>}
            {(letter.status === 'going' || letter.status === 'later') && <TakeBack id={letter.id} going />}
            {letter.reason && (
              <p className={letter.status === 'sent' ? 'entry-note' : 'needs-you'}>{letter.reason}</p>
            )}
          </article>
        </li>
      ))}
    </ol>
  );
}

function whoToWhom(letter: ShownLetter): string {
  return letter.direction === 'in'
    ? otherSide(letter)
    : `${letter.from_name || letter.member || 'We'} to ${toWhom(letter)}`;
}

/** "To Hale Brandreth", "From Oda Hartigan" */
export function otherSide(letter: ShownLetter): string {
  return letter.direction === 'in' ? `From ${letter.client ?? 'somebody'}` : `To ${toWhom(letter)}`;
}

/** The names of whom it goes to. */
export function toWhom({ recipients, client }: ShownLetter): string {
  const names = recipients.filter(({ role }) => role === 'to').map(({ name, address }) => name || address);
  return names.join(' and ') || (client ?? 'nobody');
}
