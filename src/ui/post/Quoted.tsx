import type { ShownLetter } from '../../core/contract/letters';

/** What a message has of those before it, folded. */
export function Quoted({
  letter: { quoted, direction },
}: {
  letter: Pick<ShownLetter, 'quoted' | 'direction'>;
}) {
  if (!quoted) return null;
  return (
    <details className="quoted">
      <summary>{direction === 'in' ? 'What it answers' : 'What stands below'}</summary>
      <p className="letter-text">{quoted.trim()}</p>
    </details>
  );
}
