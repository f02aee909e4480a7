import { sizeInWords } from '../../core/describe/sizeInWords';
import { isPaper } from '../../core/template/papers';
import { ownFileAddress } from '../document/ownFileAddress';
import { alongInWords, type Along } from '../../core/writing/goesAlong';

interface Props {
  along: readonly Along[];
  /** what its writer has left out, and how that is changed; absent: nothing can be */
  leftOut?: readonly string[];
  onChange?: (name: string, goes: boolean) => void;
}

/** What goes along with a letter, each with its size; some of it can be left out and put back. */
export function AlongWithIt({ along, leftOut = [], onChange }: Props) {
  if (along.length === 0) return null;
  return (
    <dl className="along">
      <dt>With it</dt>
      <dd>
        {along.map(({ name, size }) => {
          const words = alongInWords({ name });
          const goes = !leftOut.includes(name);
          const known =
            size === undefined ? (isPaper(name) ? 'cannot go yet' : 'not there') : sizeInWords(size);
          return (
            <span key={name} className="addressee">
              {!goes && <s>{words}</s>}
              {goes && (size === undefined ? words : <a href={ownFileAddress(name)}>{words}</a>)}
              {goes && `, ${known}`}
              {onChange && (
                <button
                  type="button"
                  className="btn btn-link"
                  aria-label={`${goes ? 'Leave out' : 'Put back'} ${words}`}
                  onClick={() => onChange(name, !goes)}
                >
                  {goes ? 'Leave out' : 'Put back'}
                </button>
              )}
            </span>
          );
        })}
      </dd>
    </dl>
  );
}
