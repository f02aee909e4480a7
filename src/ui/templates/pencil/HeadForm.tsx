'use client';

import { useId } from 'react';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { FROM_WORDS, headInWords, TO_WORDS } from '../../../core/describe/headInWords';
import { clauseOf } from '../../../core/fields/clauseOf';
import { conditionLabel } from '../../../core/fill/describe/labels';
import { newScope, type CompileContext } from '../../../core/fill/compile/newScope';
import { bookingWords } from '../../../core/records/bookingWords';
import { STARTING_POINTS, type StartingKind } from '../../../core/records/recordKind';
import { ACTS, type Act } from '../../../core/template/acts';
import type { Called, TemplateHead } from '../../../core/template/template';
import { ConditionForm } from './ConditionForm';
import { GoesAlong } from './GoesAlong';
import { GroupChoice } from './GroupChoice';
import { Choice, Words, Yes } from './HeadControls';
import { LineControl } from './LineControl';
import type { PencilTools } from './pencilTools';

interface Props {
  head: TemplateHead;
  facts: WordsFacts;
  context: CompileContext;
  tools: PencilTools;
  /** a group was made while choosing one */
  onGroup: (group: Called) => void;
  onChange: (head: TemplateHead) => void;
}

/** What a template says of its letters beside their words: whom they go to and come from, and when it is offered. */
export function HeadForm({ head, facts, context, tools, onGroup, onChange }: Props) {
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
        <GroupChoice
          group={head.group}
          groups={facts.groups}
          onMade={onGroup}
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
