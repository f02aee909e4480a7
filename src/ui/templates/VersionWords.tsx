import type { VersionCompared } from '../../core/contract/versions';
import type { PencilToken } from '../../core/describe/pencilTokens';

interface Props {
  compared: VersionCompared;
  /** what it means that words are struck out, and underlined */
  went?: string;
  came?: string;
}

/** What went from a version and what came since, where it stands among the words that stayed. */
export function VersionWords({
  compared: { head, words },
  went = 'said then, and no more',
  came = 'came since',
}: Props) {
  const same = head.length === 0 && words.every(({ change }) => change === 'same');
  if (same) return <p className="hint">It says the same as the one that stands.</p>;
  return (
    <>
      <p className="version-key">
        <del>Struck out</del>: {went}. <ins>Underlined</ins>: {came}.
      </p>
      {head.length > 0 && (
        <ul className="version-head">
          {head.map(({ what, was, is }) => (
            <li key={what}>
              {what}: {was && <del>{was}</del>} {is && <ins>{is}</ins>}
            </li>
          ))}
        </ul>
      )}
      <div className="version-words">
        {words.map(({ change, tokens }, i) => {
          const drawn = tokens.map((token, at) => <Token key={at} token={token} />);
          if (change === 'same') return <span key={i}>{drawn}</span>;
          const Change = change === 'went' ? 'del' : 'ins';
          return <Change key={i}>{drawn}</Change>;
        })}
      </div>
    </>
  );
}

function Token({ token: { type, words } }: { token: PencilToken }) {
  switch (type) {
    case 'end':
      return <br />;
    case 'field':
      return <span className="field">{words}</span>;
    case 'note':
      return <span className="version-note">{words}</span>;
    case 'word':
      return words;
  }
}
