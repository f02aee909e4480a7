'use client';

import { useId } from 'react';
import Form from 'react-bootstrap/Form';
import { withArticle } from '../../core/fill/formats/article';
import type { InView } from './useInView';

interface Props {
  /** what the page is: "Filled for", "Seen for" */
  label: string;
  /** what the record is called */
  called: string;
  view: InView;
  /** shows the next record that something is missing for; absent: there is none, or it is not known */
  onNextHole?: () => void;
}

/** The record that a template is seen for: found by its words, chosen, or the next one with a hole. */
export function RecordInView({ label, called, view, onNextHole }: Props) {
  const { starts, wanted, find, start, choose } = view;
  const id = useId();
  return (
    <div className="ink-for">
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        size="sm"
        type="search"
        placeholder={`Find ${withArticle(called)}`}
        value={wanted}
        onChange={(event) => find(event.target.value)}
      />
      <Form.Select
        size="sm"
        aria-label="Record"
        value={start ?? ''}
        onChange={(event) => choose(event.target.value)}
      >
        {starts?.map(({ key, name, day, note }) => (
          <option key={key} value={key}>
            {[name, day, note].filter(Boolean).join(', ')}
          </option>
        ))}
      </Form.Select>
      {onNextHole && (
        <button type="button" className="btn btn-link" onClick={onNextHole}>
          The next one with a hole
        </button>
      )}
      {starts?.length === 0 && <p className="hint">No record has these words.</p>}
    </div>
  );
}
