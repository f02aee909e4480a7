import type { Bringing } from './useBringing';

interface Props {
  /** what they are: "Pictures" */
  what: string;
  bringing: readonly Bringing[];
}

/** What is on its way, and what went wrong with it. */
export function BringingList({ what, bringing }: Props) {
  if (bringing.length === 0) return null;
  return (
    <ul className="bringing" aria-label={`${what} on their way`}>
      {bringing.map(({ file, told: { share, waits, trouble, acts = [] }, leave }, i) => (
        <li key={i}>
          {trouble ? (
            <>
              <span className="trouble" role="alert">
                {file.name || 'picture'}: {trouble}
              </span>{' '}
              {[...acts, ['Leave it', leave] as const].map(([words, act]) => (
                <button key={words} type="button" className="btn btn-link" onClick={act}>
                  {words}
                </button>
              ))}
            </>
          ) : (
            <>
              <span role="status">
                Bringing in {file.name || 'picture'}:{' '}
                {waits ? 'others go first' : share < 1 ? `${Math.round(share * 100)} %` : 'being made ready'}{' '}
                …
              </span>{' '}
              <button
                type="button"
                className="btn btn-link"
                aria-label={`Cancel ${file.name || 'picture'}`}
                onClick={leave}
              >
                Cancel
              </button>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}
