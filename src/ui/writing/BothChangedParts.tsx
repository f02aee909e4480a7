import type { BothChanged } from '../../core/fairCopy/bothChanged';
import type { LetterStore } from './letterStore';

/** Where its writer and the template or a record have changed the same words: both are shown, and somebody chooses. */
export function BothChangedParts({ parts, store }: { parts: readonly BothChanged[]; store: LetterStore }) {
  return (
    <ul className="notice other-drafts" aria-label="Changed by you and since">
      {parts.map(({ origin, mine, theirs }) => (
        <li key={origin}>
          You wrote “{mine}”; by the template and the records it would now be “{theirs}”.{' '}
          <button type="button" className="btn btn-link" onClick={() => store.settle(origin, 'theirs')}>
            Take that
          </button>
          <button type="button" className="btn btn-link" onClick={() => store.settle(origin, 'mine')}>
            Keep what you wrote
          </button>
        </li>
      ))}
    </ul>
  );
}
