'use client';

import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { Meant } from '../../../core/adopting/adopt';
import { meantLabel } from '../../../core/adopting/meantLabel';
import type { CompileContext } from '../../../core/fill/compile/newScope';
import type { FieldGroup } from '../../../core/fields/fieldsAt';
import { FieldList } from '../pencil/FieldList';
import type { AskedName } from './coming';

interface Props {
  name: AskedName;
  context: CompileContext;
  titles: Readonly<Record<string, string>>;
  groups: readonly FieldGroup[];
  /** whether it is decided: by whoever brings it in, before, or since it hardly means anything else */
  isDecided: boolean;
  /** absent: it is asked again */
  onMean: (meant: Meant | undefined) => void;
}

const nothing = () => undefined;

/** A name from elsewhere, and what it means here. */
export function NameNote({ name, context, titles, groups, isDecided, onMean }: Props) {
  const [at, setAt] = useState<{ left: number; top: number; bottom: number }>();
  const chooser = useRef<HTMLButtonElement>(null);
  const { words, proposed, taken, templates } = name;
  const often = templates === 1 ? 'in one template' : `in ${templates} templates`;
  if (isDecided)
    return (
      <li className="find-note">
        <q>{words}</q> <span className="entry-note">{said(taken, context, titles)}</span>
        <Button
          variant="link"
          size="sm"
          aria-label={`Change what “${words}” means`}
          onClick={() => onMean(undefined)}
        >
          Change
        </Button>
      </li>
    );
  return (
    <li className="find-note find-open">
      <p>
        <q>{words}</q> <span className="entry-note">{often}</span>
      </p>
      <div className="find-choices" role="group" aria-label={`What “${words}” means`}>
        {proposed && (
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => onMean({ path: proposed.path, steps: proposed.steps })}
          >
            {meantLabel(proposed, context, titles)}
          </Button>
        )}
        <Button
          size="sm"
          variant="outline-primary"
          ref={chooser}
          aria-haspopup="dialog"
          onClick={({ currentTarget }) => setAt(currentTarget.getBoundingClientRect())}
        >
          {proposed ? 'Another field …' : 'A field …'}
        </Button>
        <Button size="sm" variant="link" onClick={() => onMean('gap')}>
          A gap, for later
        </Button>
        <Button size="sm" variant="link" onClick={() => onMean('words')}>
          Just words
        </Button>
      </div>
      {at && (
        <FieldList
          groups={groups}
          says={nothing}
          at={at}
          onChoose={({ path }) => {
            setAt(undefined);
            onMean({ path, steps: [] });
          }}
          onClose={() => {
            setAt(undefined);
            chooser.current?.focus();
          }}
        />
      )}
    </li>
  );
}

function said(taken: Meant, context: CompileContext, titles: Readonly<Record<string, string>>): string {
  if (taken === 'words') return 'stays as it is';
  if (taken === 'gap') return 'a gap, to be filled later';
  return meantLabel(taken, context, titles);
}
