'use client';

import { useId, type ReactNode } from 'react';
import Form from 'react-bootstrap/Form';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { NO_GROUP } from '../../../core/contract/groups';
import { FROM_WORDS, headInWords, TO_WORDS } from '../../../core/describe/headInWords';
import { clauseOf } from '../../../core/fields/clauseOf';
import { conditionLabel } from '../../../core/fill/describe/labels';
import { newScope, type CompileContext } from '../../../core/fill/compile/newScope';
import { bookingWords } from '../../../core/records/bookingWords';
import { STARTING_POINTS, type StartingKind } from '../../../core/records/recordKind';
import { ACTS, type Act } from '../../../core/template/acts';
import { byName } from '../../../core/template/naming';
import type { TemplateHead } from '../../../core/template/template';
import { ConditionForm } from './ConditionForm';
import { GoesAlong } from './GoesAlong';
import { LineControl } from './LineControl';
import type { PencilTools } from './pencilTools';

interface Props {
  head: TemplateHead;
  facts: WordsFacts;
  context: CompileContext;
  tools: PencilTools;
  onChange: (head: TemplateHead) => void;
}

/** What a template says of its letters beside their words: whom they go to and come from, and when it is offered. */
export function HeadForm({ head, facts, context, tools, onChange }: Props) {
  const id = useId();
  const called = (kind: StartingKind) =>
    kind === 'booking' ? bookingWords(facts.business.booking_label).booking : kind;
  /** what is undefined is left out */
  const change = (next: { [Key in keyof TemplateHead]?: TemplateHead[Key] | undefined }) => {
    const all = { ...head, ...next };
    onChange(
      Object.fromEntries(
        Object.entries(all).filter(([, value]) => value !== undefined),
      ) as unknown as TemplateHead,
    );
  };
  const fits =
    head.fitsWhen && `offered only when ${conditionLabel(head.fitsWhen, newScope(context, head, []))}`;
  return (
    <details className="template-head">
      <summary>{headInWords(head, called(head.startsFrom), fits)}</summary>
      <div className="template-head-form">
        <Words label="Name" value={head.name} onChange={(name) => name && change({ name })} />
        <Choice
          label="Group"
          value={byName(facts.groups).get(head.group)?.name ?? head.group}
          options={[...facts.groups.map(({ name }) => [name, name] as const), [NO_GROUP, 'no group']]}
          onChange={(group) => change({ group })}
        />
        <Choice
          label="Starts from"
          value={head.startsFrom}
          options={STARTING_POINTS.map((kind) => [kind, called(kind)])}
          onChange={(startsFrom) => change({ startsFrom: startsFrom as StartingKind })}
        />
        <Choice
          label="Goes to"
          value={head.writtenTo ?? 'client'}
          options={Object.entries(TO_WORDS)}
          onChange={(to) => change({ writtenTo: to === 'client' ? undefined : (to as 'partner') })}
        />
        <Choice
          label="Comes from"
          value={head.from ?? 'writer'}
          options={Object.entries(FROM_WORDS)}
          onChange={(from) => change({ from: from === 'writer' ? undefined : (from as 'house') })}
        />
        <LineControl
          label="Answers go to"
          none="whoever it comes from"
          line={head.replyTo}
          known={facts.addresses}
          tools={tools}
          onChange={(replyTo) => change({ replyTo })}
        />
        <LineControl
          label="Copy to"
          none="nobody"
          line={head.copy}
          known={facts.addresses}
          tools={tools}
          onChange={(copy) => change({ copy })}
        />
        <LineControl
          label="Blind copy to"
          none="nobody"
          line={head.blindCopy}
          known={facts.addresses}
          tools={tools}
          onChange={(blindCopy) => change({ blindCopy })}
        />
        <Choice
          label="Signed with"
          value={head.signature ?? ''}
          options={[
            ['', 'the usual signature'],
            ...facts.signatures.map(
              ({ key, name, member }) =>
                [key, `${name} (${member === undefined ? 'the house’s' : 'a member’s own'})`] as const,
            ),
            ['none', 'no signature'],
          ]}
          onChange={(signature) => change({ signature: signature || undefined })}
        />
        {head.mine && (
          <Choice
            label="Whose"
            value="mine"
            options={[
              ['mine', 'mine alone'],
              ['everyone', 'everyone’s, from then on'],
            ]}
            onChange={(whose) => whose === 'everyone' && change({ mine: undefined })}
          />
        )}
        <Choice
          label="Letterhead"
          value={head.letterhead ?? ''}
          options={[
            ['', 'the house’s'],
            ['none', 'none'],
          ]}
          onChange={(letterhead) => change({ letterhead: letterhead === 'none' ? 'none' : undefined })}
        />
        <Words
          label="Language"
          value={head.language ?? ''}
          placeholder={facts.business.locale ?? 'en-GB'}
          onChange={(language) => change({ language: language || undefined })}
        />
        <Choice
          label="Belongs to"
          value={head.action?.act ?? ''}
          options={[['', 'no act of the work'], ...ACTS.map((act) => [act, act] as const)]}
          onChange={(act) =>
            change({ action: act ? { act: act as Act, first: head.action?.first ?? false } : undefined })
          }
        />
        {head.action && (
          <Yes
            label="the first that is offered for it"
            value={head.action.first}
            onChange={(first) => change({ action: { ...head.action!, first } })}
          />
        )}
        <GoesAlong
          head={head}
          files={facts.files}
          booking={called('booking')}
          onChange={(attach) => change({ attach })}
        />
        <Words
          label="When to use it"
          value={head.note ?? ''}
          placeholder="a note for the team"
          onChange={(note) => change({ note: note || undefined })}
        />
        <Yes
          label="resting: kept, but not offered"
          value={head.resting ?? false}
          onChange={(resting) => change({ resting: resting || undefined })}
        />
        <fieldset className="field-fallback" aria-labelledby={`${id}-fits`}>
          <legend id={`${id}-fits`} className="form-label">
            Offered {head.fitsWhen ? 'only when' : 'always'}
          </legend>
          {head.fitsWhen ? (
            <ConditionForm
              condition={head.fitsWhen}
              around={[]}
              tools={tools}
              onChange={(fitsWhen) => change({ fitsWhen })}
              onNone={() => change({ fitsWhen: undefined })}
            />
          ) : (
            <button
              type="button"
              className="btn btn-link"
              onClick={(event) =>
                tools.want({
                  at: event.currentTarget.getBoundingClientRect(),
                  around: [],
                  then: ({ path, type }) =>
                    change({ fitsWhen: { join: 'and', clauses: [clauseOf(path, type)] } }),
                })
              }
            >
              Only when something is so
            </button>
          )}
        </fieldset>
      </div>
    </details>
  );
}

interface ControlProps<Value> {
  label: string;
  value: Value;
  onChange: (value: Value) => void;
}

function Choice({
  label,
  value,
  options,
  onChange,
}: ControlProps<string> & { options: readonly (readonly [string, string])[] }) {
  const known = options.find(([one]) => one.toLowerCase() === value.toLowerCase());
  return (
    <Labelled label={label}>
      <Form.Select size="sm" value={known?.[0] ?? value} onChange={(event) => onChange(event.target.value)}>
        {!known && <option value={value}>{value}</option>}
        {options.map(([one, words]) => (
          <option key={one} value={one}>
            {words}
          </option>
        ))}
      </Form.Select>
    </Labelled>
  );
}

function Words({ label, value, placeholder, onChange }: ControlProps<string> & { placeholder?: string }) {
  return (
    <Labelled label={label}>
      <Form.Control
        key={value}
        size="sm"
        defaultValue={value}
        placeholder={placeholder}
        maxLength={200}
        onBlur={(event) => {
          const typed = event.target.value.trim();
          if (typed !== value) onChange(typed);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !event.nativeEvent.isComposing) event.currentTarget.blur();
        }}
      />
    </Labelled>
  );
}

function Yes({ label, value, onChange }: ControlProps<boolean>) {
  return (
    <label className="check">
      <input type="checkbox" checked={value} onChange={(event) => onChange(event.target.checked)} />
      {label}
    </label>
  );
}

function Labelled({ label, children }: { label: string; children: ReactNode }) {
  return (
    <label className="field-fallback">
      <span className="form-label">{label}</span>
      {children}
    </label>
  );
}
