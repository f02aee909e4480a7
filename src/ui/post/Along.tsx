import { sizeInWords } from '../../core/describe/sizeInWords';
import type { ShownLetter } from '../../core/contract/letters';

/** What went or came along, each to be kept on the device. */
export function Along({ letter: { id, attachments } }: { letter: Pick<ShownLetter, 'id' | 'attachments'> }) {
  if (attachments.length === 0) return null;
  return (
    <p className="letter-along">
      {attachments.map(({ name, position, size }) => (
        <span key={position} className="addressee">
          <a href={`/api/letters/${id}/files/${position}`}>{name}</a>, {sizeInWords(size)}
        </span>
      ))}
    </p>
  );
}
