'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { OfferedField } from '../../../core/fields/fieldsAt';
import type { Around } from '../../../core/fields/sayField';
import { listingOf, type Shape } from './listing';
import type { PencilTools } from './pencilTools';

interface Props {
  around: readonly Around[];
  tools: PencilTools;
  onDone: (node: { type: string }) => void;
}

const SHAPES: readonly [Shape, string][] = [
  ['sentence', 'a sentence: a, b and c'],
  ['bullets', 'bullets'],
  ['table', 'a table'],
];

/** A listing by plain choices: which records, as what, and what of each. */
export function ListingForm({ around, tools: { fields }, onDone }: Props) {
  const lists = fields
    .fieldsAt(around)
    .filter(({ unreachable }) => unreachable === undefined)
    .flatMap((group) =>
      group.fields.filter(({ type }) => type.kind === 'collection').map((field) => ({ group, field })),
    );
  const [path, setPath] = useState(lists[0]?.field.path ?? '');
  const [shape, setShape] = useState<Shape>('table');
  const columns = fields
    .fieldsOfList({ path, steps: [] }, around)
    .filter(({ piece, type }) => !piece && type.kind !== 'collection' && type.kind !== 'yes/no');
  const [chosen, setChosen] = useState<readonly string[]>();
  const taken = chosen ?? likely(columns);
  const isOfRecords = columns.some(({ path: one }) => one !== '.');
  return (
    <>
      <label className="field-fallback">
        <span className="form-label">Which</span>
        <Form.Select
          autoFocus
          value={path}
          onChange={(event) => {
            setPath(event.target.value);
            setChosen(undefined);
          }}
        >
          {lists.map(({ group, field }) => (
            <option key={`${group.title} ${field.path}`} value={field.path}>
              {group.title}: {field.label}
            </option>
          ))}
        </Form.Select>
      </label>
      <label className="field-fallback">
        <span className="form-label">As</span>
        <Form.Select value={shape} onChange={(event) => setShape(event.target.value as Shape)}>
          {SHAPES.map(([one, words]) => (
            <option key={one} value={one}>
              {words}
            </option>
          ))}
        </Form.Select>
      </label>
      {shape !== 'sentence' && isOfRecords && (
        <fieldset className="field-forms">
          <legend>What of each</legend>
          {columns.map(({ path: one, label }) => (
            <label key={one} className="check">
              <input
                type="checkbox"
                checked={taken.includes(one)}
                onChange={(event) =>
                  setChosen(event.target.checked ? [...taken, one] : taken.filter((other) => other !== one))
                }
              />
              {label}
            </label>
          ))}
        </fieldset>
      )}
      <Button
        size="sm"
        disabled={!path || (shape !== 'sentence' && taken.length === 0)}
        onClick={() =>
          onDone(
            listingOf(
              path,
              shape,
              taken.flatMap((one) => columns.find((column) => column.path === one) ?? []),
            ),
          )
        }
      >
        Put it in
      </Button>
    </>
  );
}

/** What is mostly wanted of a record: what it is, when, and how much. */
const LIKELY = [
  'number',
  'description',
  'service',
  'title',
  'name',
  'full_name',
  '.',
  'starts_at',
  'due_on',
  'paid_on',
];
const LIKELY_SUMS = ['balance', 'amount', 'total', 'left'];

function likely(columns: readonly OfferedField[]): string[] {
  const among = (keys: readonly string[]) => keys.filter((key) => columns.some(({ path }) => path === key));
  return [...among(LIKELY).slice(0, 2), ...among(LIKELY_SUMS).slice(0, 1)];
}
