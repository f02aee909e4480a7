import type { CopyDocument } from '../../core/document/copyDocument';
import { CopyBlocks } from './CopyBlocks';

/** The top or the foot that the house puts around a letter: read with it, and not written on there. */
export function LetterheadAround({ part }: { part: CopyDocument | undefined }) {
  if (!part) return null;
  return (
    <div className="letter-body letterhead" role="note" aria-label="Letterhead">
      <CopyBlocks nodes={part.content} />
    </div>
  );
}
