'use client';

import type { ReactNode } from 'react';
import { sizeInWords } from '../../core/describe/sizeInWords';
import { alongInWords, type Along } from '../../core/writing/goesAlong';
import { alongAddress } from './alongAddress';
import { useSizeOf } from './useSizeOf';

interface Props {
  along: readonly Along[];
  /** what its writer has left out, and how that is changed; absent: nothing can be */
  leftOut?: readonly string[];
  onChange?: (one: Along, goes: boolean) => void;
  /** how something is added */
  children?: ReactNode;
}

/** What goes along with a letter, each with its size; some of it can be left out and put back. */
export function AlongWithIt({ along, leftOut = [], onChange, children }: Props) {
  if (along.length === 0 && !children) return null;
  return (
    <dl className="along">
      <dt>With it</dt>
      <dd>
        {along.map((one) => (
          <OneAlong key={one.id} one={one} goes={!leftOut.includes(one.id)} onChange={onChange} />
        ))}
        {children}
      </dd>
    </dl>
  );
}

function OneAlong({
  one,
  goes,
  onChange,
}: {
  one: Along;
  goes: boolean;
  onChange: Props['onChange'] | undefined;
}) {
  const words = alongInWords(one);
  const address = alongAddress(one);
  const made = useSizeOf(one.paper && goes ? address : undefined);
  const size = one.size ?? made;
  const act = one.added ? 'Remove' : goes ? 'Leave out' : 'Put back';
  return (
    <span className="addressee">
      {!goes && <s>{words}</s>}
      {goes && (address === undefined ? words : <a href={address}>{words}</a>)}
      {goes && one.paper?.of !== undefined && `, ${one.name}`}
      {goes && one.lacks !== undefined && ', not there'}
      {goes && size !== undefined && `, ${sizeInWords(size)}`}
      {onChange && (
        <button
          type="button"
          className="btn btn-link"
          aria-label={`${act} ${words}`}
          onClick={() => onChange(one, !goes)}
        >
          {act}
        </button>
      )}
    </span>
  );
}
