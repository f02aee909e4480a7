import type { Asks, KnownBy, ShownLetter } from '../../core/contract/letters';
import { AsksFor } from './AsksFor';
import { Cures } from './Cures';
import { GiveTo } from './GiveTo';

const KNOWN_BY: Readonly<Record<KnownBy, string>> = {
  'reply mark': 'It came to the address that the letter asked to be answered to.',
  'returned message': 'It has the letter within it that it is about.',
  'in reply to': 'It says which letter it answers.',
  references: 'It says of which letters it follows.',
  address: 'It does not say which letter it answers: it is known by its sender’s address.',
};

interface Props {
  letter: ShownLetter;
  asks: Asks | undefined;
  members: readonly { key: string; name: string }[];
}

/** How a message that came in is known, and what is to be done about it. */
export function CameIn({ letter, asks, members }: Props) {
  const { sign, client, came_notes } = letter;
  return (
    <>
      <p>
        It came <time dateTime={letter.at}>{letter.day}</time>.
      </p>
      {letter.waits && <p className="needs-you">It waits for an answer.</p>}
      {asks && <AsksFor asks={asks} />}
      <Cures key={letter.version} letter={letter} onPage />
      {members.length > 1 && <GiveTo key={`to ${letter.version}`} letter={letter} members={members} />}
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
