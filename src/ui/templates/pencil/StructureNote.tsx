'use client';

import Form from 'react-bootstrap/Form';
import type { Condition, Step } from '../../../core/document/step';
import { clauseOf } from '../../../core/fields/clauseOf';
import type { Chosen, TemplateEditor } from '../../editor/templateEditor';
import { ConditionForm } from './ConditionForm';
import type { PencilTools } from './pencilTools';

interface Props {
  editor: TemplateEditor;
  chosen: Chosen;
  tools: PencilTools;
}

type Where = Extract<Step, { condition: Condition }>;
type By = Extract<Step, { down: boolean }>;
type First = Extract<Step, { count: number }>;

/** An only-when: what it asks, and whether something stands there otherwise. */
export function WhenNote({ editor, chosen, tools }: Props) {
  const { condition } = chosen.attrs as { condition: Condition };
  return (
    <>
      <p className="note-reason">What is beside the line stands in a letter only when</p>
      <ConditionForm
        condition={condition}
        around={chosen.around}
        tools={tools}
        onChange={(next) => editor.change(chosen.at, { condition: next })}
      />
      <div className="note-acts">
        <button type="button" className="btn btn-link" onClick={() => editor.otherwise(chosen.at)}>
          {chosen.hasOtherwise ? 'Nothing otherwise' : 'Say something otherwise'}
        </button>
        <button type="button" className="btn btn-link" onClick={() => editor.unwrap(chosen.at)}>
          Let it stand always
        </button>
        <button type="button" className="btn btn-link" onClick={() => editor.takeOut(chosen.at)}>
          Take it out
        </button>
      </div>
    </>
  );
}

/** A listing: which records, which of them, in what order, how many; or words that stand where a fact is there. */
export function SectionNote({ editor, chosen, tools }: Props) {
  const section = chosen.attrs as { path: string; steps: Step[]; inverted?: boolean };
  const { path, steps } = section;
  const type = tools.fields.typeOf({ path, steps: [] }, chosen.around);
  const inside = [...chosen.around, { path, steps: [] }];
  const columns = tools.fields.fieldsOfList({ path, steps: [] }, chosen.around);
  const where = steps.find((step): step is Where => step.step === 'where');
  const by = steps.find((step): step is By => step.step === 'by');
  const first = steps.find((step): step is First => step.step === 'first' && 'count' in step);
  /** the steps in the order in which they are done */
  const change = (next: { where?: Step | undefined; by?: Step | undefined; first?: Step | undefined }) => {
    const all = { where, by, first, ...next };
    const others = steps.filter(({ step }) => !['where', 'by', 'first'].includes(step));
    editor.change(chosen.at, {
      steps: [...[all.where, all.by, all.first].flatMap((step) => step ?? []), ...others],
    });
  };
  const isList = type?.kind === 'collection' && !section.inverted;
  return (
    <>
      <p className="note-reason">
        {isList
          ? `What is beside the line stands there once for each of: ${tools.fields.nameOf(path, chosen.around)}.`
          : `What is beside the line stands there only when there is ${section.inverted ? 'no ' : ''}${tools.fields.nameOf(path, chosen.around)}.`}
      </p>
      {isList && (
        <>
          {where ? (
            <>
              <p className="note-reason">Of these only when</p>
              <ConditionForm
                condition={where.condition}
                around={inside}
                tools={tools}
                onChange={(condition) => change({ where: { step: 'where', condition } })}
                onNone={() => change({ where: undefined })}
              />
            </>
          ) : (
            <button
              type="button"
              className="btn btn-link"
              onClick={(event) =>
                tools.want({
                  at: event.currentTarget.getBoundingClientRect(),
                  around: inside,
                  then: ({ path: fact, type: kind }) =>
                    change({
                      where: { step: 'where', condition: { join: 'and', clauses: [clauseOf(fact, kind)] } },
                    }),
                })
              }
            >
              Only some of them
            </button>
          )}
          <label className="field-fallback">
            <span className="form-label">In the order of</span>
            <Form.Select
              size="sm"
              value={by?.field ?? ''}
              onChange={({ target: { value } }) =>
                change({ by: value ? { step: 'by', field: value, down: by?.down ?? false } : undefined })
              }
            >
              <option value="">their own</option>
              {columns
                .filter(({ type: { kind } }) => kind !== 'collection' && kind !== 'address')
                .map(({ path: key, label }) => (
                  <option key={key} value={key}>
                    {label}
                  </option>
                ))}
            </Form.Select>
          </label>
          {by && (
            <label className="check">
              <input
                type="checkbox"
                checked={by.down}
                onChange={(event) => change({ by: { ...by, down: event.target.checked } })}
              />
              the last first
            </label>
          )}
          <label className="field-fallback">
            <span className="form-label">At most</span>
            <Form.Control
              size="sm"
              inputMode="numeric"
              key={first?.count ?? ''}
              defaultValue={first?.count ?? ''}
              placeholder="all"
              onBlur={({ target: { value } }) => {
                const count = /^\d{1,3}$/.test(value.trim()) ? Number(value) : 0;
                if (count !== (first?.count ?? 0))
                  change({ first: count > 0 ? { step: 'first', count } : undefined });
              }}
            />
          </label>
        </>
      )}
      <div className="note-acts">
        <button type="button" className="btn btn-link" onClick={() => editor.unwrap(chosen.at)}>
          {isList ? 'Say it once' : 'Let it stand always'}
        </button>
        <button type="button" className="btn btn-link" onClick={() => editor.takeOut(chosen.at)}>
          Take it out
        </button>
      </div>
    </>
  );
}
