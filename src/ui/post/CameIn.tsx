import type { KnownBy, ShownLetter } from '../../core/contract/letters';
import { Cures } from './Cures';

const KNOWN_BY: Readonly<Record<KnownBy, string>> = {
  'reply mark': 'It came to the address that the letter asked to be answered to.',
  'returned message': 'It has the letter within it that it is about.',
  'in reply to': 'It says which letter it answers.',
  references: 'It says of which letters it follows.',
  address: 'It does not say which letter it answers: it is known by its sender’s address.',
};

/** How a message that came in is known, and what is to be done about it. */
export function CameIn({ letter }: { letter: ShownLetter }) {
  const { sign, client, came_notes } = letter;
  return (
    <>
      <p>
        It came <time dateTime={letter.at}>{letter.day}</time>.
      </p>
      {letter.waits && <p className="needs-you">It waits for an answer.</p>}
      <Cures key={letter.version} letter={letter} onPage />
      <p className="entry-note">
        {sign ? KNOWN_BY[sign] : client ? '' : 'Nobody in your records has this address.'}
      </p>
      {came_notes.map((note) => (
        <p key={note} className="entry-note">
          {note}
        </p>
      ))}
    </>
  );
}
