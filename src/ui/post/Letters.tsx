import Link from 'next/link';
import type { ShownLetter } from '../../core/contract/letters';
import { Along } from './Along';
import { Cures } from './Cures';
import { LetterState } from './LetterState';
import { otherSide, toWhom } from './otherSide';
import { Quoted } from './Quoted';
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
            <LetterState status={letter.status} came_as={letter.came_as} />
          </p>
          <article aria-label={letter.subject || 'Text message'}>
            <p className="letter-who">{whoToWhom(letter)}</p>
            <h3>
              <Link href={`/post/${letter.id}`} prefetch={false}>
                {letter.subject || (letter.kind === 'text' ? 'Text message' : 'Without a subject')}
              </Link>
            </h3>
            <p className="letter-text">{letter.text.trim()}</p>
            <Quoted letter={letter} />
            <Along letter={letter} />
            {letter.waits && <Cures key={letter.version} letter={letter} />}
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
