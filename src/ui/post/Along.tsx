import { sizeInWords } from '../../core/describe/sizeInWords';
import { KeepFile } from './KeepFile';
import type { ShownLetter } from '../../core/contract/letters';

/** What went or came along, each to be kept on the device; what came can be kept with the job, too. */
export function Along({ letter }: { letter: ShownLetter }) {
  const { id, attachments, direction, client, about } = letter;
  const job = about?.kind === 'project' || about?.kind === 'booking' ? about.name : client;
  if (attachments.length === 0) return null;
  return (
    <span className="letter-along">
      {attachments.map(({ name, position, size }) => (
        <span key={position} className="addressee">
          <a href={`/api/letters/${id}/files/${position}`}>{name}</a>, {sizeInWords(size)}
          {direction === 'in' && job && <KeepFile path={`/api/letters/${id}/files/${position}`} job={job} />}
        </span>
      ))}
    </span>
  );
}
