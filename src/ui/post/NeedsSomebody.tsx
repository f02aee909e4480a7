import type { NeedsSomebody as Needs } from '../../core/contract/letters';
import { NeedsLetter } from './NeedsLetter';
import { TryNow } from './TryNow';

interface Props {
  needs: Needs;
  /** the member's own key: the letters of others say whose they are */
  me: string;
}

/** What did not go as it should, first of all, until somebody has dealt with it. */
export function NeedsSomebody({ needs: { letters, more, waiting }, me }: Props) {
  const waits = waiting.letters > 0 && waiting.why;
  if (letters.length === 0 && !waits) return null;
  return (
    <section className="needs-somebody" aria-labelledby="needs-title">
      <h2 id="needs-title">Letters that need somebody</h2>
      {waits && (
        <div className="paper needs-letter" role="status">
          <p className="needs-you">
            {waiting.letters === 1 ? '1 letter waits' : `${waiting.letters} letters wait`}. {waiting.why}
          </p>
          <TryNow ofAccount={waiting.ofAccount === true} />
        </div>
      )}
      <ul>
        {letters.map((letter) => (
          <NeedsLetter key={`${letter.id} ${letter.version}`} letter={letter} me={me} />
        ))}
      </ul>
      {more && <p className="hint">More stand here when these are dealt with.</p>}
    </section>
  );
}
