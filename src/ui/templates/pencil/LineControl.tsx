'use client';

import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { isAddress, readMailboxes } from '../../../core/addressing/addresses';
import type { Line } from '../../../core/document/templateDocument';
import { printLine } from '../../../core/template/text/printLine';
import type { PencilTools } from './pencilTools';

interface Props {
  label: string;
  /** what it says where there is none */
  none: string;
  line: Line | undefined;
  /** the addresses that are known here: another one is asked about */
  known: readonly string[];
  tools: PencilTools;
  onChange: (line: Line | undefined) => void;
}

/** An address of a letter: typed, or a field that has one. */
export function LineControl({ label, none, line, known, tools, onChange }: Props) {
  const [problem, setProblem] = useState<string>();
  /** what was typed, with an address that nobody here has */
  const [asked, setAsked] = useState<{ typed: string; stranger: string }>();
  const id = useId();
  const put = (typed: string) => {
    setAsked(undefined);
    onChange(typed ? [{ type: 'text', text: typed }] : undefined);
  };
  const judge = (typed: string) => {
    const emails = typed ? (readMailboxes(typed) ?? []).map(({ email }) => email) : [];
    const wrong = typed !== '' && (emails.length === 0 || !emails.every(isAddress));
    setProblem(wrong ? 'This is no email address.' : undefined);
    if (wrong) return;
    const stranger = emails.find((email) => !known.includes(email.toLowerCase()));
    if (stranger === undefined) put(typed);
    else setAsked({ typed, stranger });
  };
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
            key={`${words} ${asked ? 'asked' : ''}`}
            size="sm"
            type="email"
            multiple
            defaultValue={asked?.typed ?? words}
            placeholder={none}
            isInvalid={problem !== undefined}
            aria-describedby={`${id}-problem`}
            onBlur={(event) => {
              const typed = event.target.value.trim();
              if (typed !== words) judge(typed);
              else setProblem(undefined);
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
      <p id={`${id}-problem`} className="problem" role="alert">
        {problem}
      </p>
      {asked && (
        <p className="needs-you" role="alert">
          Nobody here has {asked.stranger}. Is it right?{' '}
          <button type="button" className="btn btn-link" onClick={() => put(asked.typed)}>
            Yes
          </button>
          <button type="button" className="btn btn-link" onClick={() => setAsked(undefined)}>
            No, not this one
          </button>
        </p>
      )}
    </div>
  );
}

function nameOf(path: string, tools: PencilTools): string {
  return tools.fields.nameOf(path, []);
}
