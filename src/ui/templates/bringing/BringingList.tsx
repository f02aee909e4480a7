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
      {bringing.map(({ file, told: { share, trouble, acts = [] }, leave }, i) => (
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
            <span role="status">
              Bringing in {file.name || 'picture'}:{' '}
              {share < 1 ? `${Math.round(share * 100)} %` : 'being made ready'} …
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}
