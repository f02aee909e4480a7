'use client';

import Form from 'react-bootstrap/Form';
import type { Line } from '../../../core/document/templateDocument';
import { printLine } from '../../../core/template/text/printLine';
import type { PencilTools } from './pencilTools';

interface Props {
  label: string;
  /** what it says where there is none */
  none: string;
  line: Line | undefined;
  tools: PencilTools;
  onChange: (line: Line | undefined) => void;
}

/** An address of a letter: typed, or a field that has one. */
export function LineControl({ label, none, line, tools, onChange }: Props) {
  const plain = !line || line.every(({ type }) => type === 'text');
  const words = line
    ? printLine(line, (tag) => (tag.type === 'field' ? nameOf(tag.attrs.path, tools) : '…'))
    : '';
  return (
    <div className="field-fallback line-control">
      <label>
        <span className="form-label">{label}</span>
        {plain ? (
          <Form.Control
            key={words}
            size="sm"
            type="email"
            multiple
            defaultValue={words}
            placeholder={none}
            onBlur={(event) => {
              const typed = event.target.value.trim();
              if (typed !== words) onChange(typed ? [{ type: 'text', text: typed }] : undefined);
            }}
          />
        ) : (
          <output className="field">{words}</output>
        )}
      </label>
      <button
        type="button"
        className="btn btn-link"
        aria-label={`${label}: a field`}
        onClick={(event) =>
          tools.want({
            at: event.currentTarget.getBoundingClientRect(),
            around: [],
            fits: ({ path }) => path.endsWith('email'),
            then: ({ path }) => onChange([{ type: 'field', attrs: { path, steps: [] } }]),
          })
        }
      >
        a field
      </button>
      {line && (
        <button
          type="button"
          className="btn btn-link"
          aria-label={`${label}: ${none}`}
          onClick={() => onChange(undefined)}
        >
          leave out
        </button>
      )}
    </div>
  );
}

function nameOf(path: string, tools: PencilTools): string {
  return tools.fields.nameOf(path, []);
}
