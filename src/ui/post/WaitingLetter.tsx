import Link from 'next/link';
import type { Asks, ShownLetter } from '../../core/contract/letters';
import { Along } from './Along';
import { AsksFor } from './AsksFor';
import { Cures } from './Cures';
import { otherSide } from './otherSide';

interface Props {
  letter: ShownLetter;
  me: string;
  /** of one from somebody unknown: what they seem to ask */
  asks?: Asks;
}

/** A message that waits to be answered, with its words. */
export function WaitingLetter({ letter, me, asks }: Props) {
  const { id, at, day, member, member_key, subject, text, client, about, came_notes } = letter;
  const whose = [client, about && about.kind !== 'client' && about.name].filter(Boolean).join(', ');
  return (
    <li className="paper needs-letter waiting-letter">
      <p className="needs-head">
        <b>{otherSide(letter)}</b>
        <time dateTime={at}>{day}</time>
        {member && member_key !== me && <span className="card-whose">{member}’s</span>}
      </p>
      <h3>
        <Link href={`/post/${id}`} prefetch={false}>
          {subject || 'Without a subject'}
        </Link>
      </h3>
      {whose && <p className="entry-note">{whose}</p>}
      <p className="letter-text first-lines">{text.trim().replace(/\n\s*\n/g, '\n')}</p>
      <Along letter={letter} />
      {came_notes.map((note) => (
        <p key={note} className="entry-note">
          {note}
        </p>
      ))}
      {asks && <AsksFor asks={asks} />}
      <Cures letter={letter} />
    </li>
  );
}
