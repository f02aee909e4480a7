'use client';

import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { CompileContext } from '../../../core/fill/compile/newScope';
import { withArticle } from '../../../core/fill/formats/article';
import { labelsOf } from '../../../core/fill/describe/labels';
import type { Passage } from '../../../core/template/template';
import { PencilLetter } from '../../document/PencilLetter';
import type { Coming, Way } from './coming';

interface Props {
  coming: readonly Coming[];
  ways: readonly Way[];
  /** whether there is one that has its name, and whether it is the same word for word */
  stands: (coming: Coming) => 'same' | 'another' | undefined;
  context: CompileContext;
  /** what the business calls its records */
  titles: Readonly<Record<string, string>>;
  passages: readonly Passage[];
  onWay: (i: number, way: Way) => void;
}

/** The templates that come in: each can be read, left out, or take the place of the one that has its name. */
export function ComingList({ coming, ways, stands, context, titles, passages, onWay }: Props) {
  const id = useId();
  return (
    <ul className="coming-list">
      {coming.map((one, i) => {
        const { name, startsFrom } = one.template.head;
        const standing = stands(one);
        return (
          <li key={`${one.file} ${i}`}>
            <div className="coming-head">
              <Form.Check
                id={`${id}-${i}`}
                checked={ways[i] !== 'out'}
                label={<span className="entry-name">{name}</span>}
                onChange={({ target }) => onWay(i, target.checked ? 'new' : 'out')}
              />
              {standing === 'another' && ways[i] !== 'out' && (
                <Form.Select
                  size="sm"
                  aria-label={`What becomes of ${name}`}
                  value={ways[i]}
                  onChange={({ target }) => onWay(i, target.value as Way)}
                >
                  <option value="new">beside the one of that name</option>
                  <option value="instead">in its place, as a version of it</option>
                </Form.Select>
              )}
            </div>
            <p className="entry-note">
              {[
                one.file,
                `from ${withArticle(titles[startsFrom] ?? startsFrom)}`,
                ...(standing === 'same' ? ['is here already, word for word'] : []),
                ...(one.gaps ? [one.gaps === 1 ? 'one gap' : `${one.gaps} gaps`] : []),
              ].join(', ')}
            </p>
            {one.besides.map((what, at) => (
              <p key={at} className="entry-note">
                Left out: {what}.
              </p>
            ))}
            <ReadIt coming={one} context={context} passages={passages} />
          </li>
        );
      })}
    </ul>
  );
}

/** Its words, drawn when they are asked for. */
function ReadIt({
  coming: { template },
  context,
  passages,
}: Pick<Props, 'context' | 'passages'> & { coming: Coming }) {
  const [open, setOpen] = useState(false);
  return (
    <details open={open} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary>Read it</summary>
      {open && (
        <PencilLetter
          template={{
            ...template,
            passages: passages.map((one) => ({ ...one, key: one.name })),
            labels: labelsOf(template, context),
          }}
        />
      )}
    </details>
  );
}
