'use client';

import Link from 'next/link';
import Form from 'react-bootstrap/Form';
import type { Step } from '../../../core/document/step';
import type { Blank } from '../../../core/document/templateDocument';
import { capital } from '../../../core/describe/capital';
import type { WordsFacts } from '../../../core/contract/templateWords';
import type { Chosen, TemplateEditor } from '../../editor/templateEditor';
import { BlankForm } from './BlankForm';
import { FieldNote } from './FieldNote';
import { PictureNote } from '../pictures/PictureNote';
import { PencilNote } from './PencilNote';
import type { PencilTools } from './pencilTools';
import { SectionNote, WhenNote } from './StructureNote';

interface Props {
  editor: TemplateEditor;
  chosen: Chosen;
  facts: WordsFacts;
  tools: PencilTools;
  onClose: () => void;
}

/** What is chosen on the page, told and changed in the margin. */
export function ChosenNote(props: Props) {
  const { editor, chosen, onClose } = props;
  const note = noteOf(props);
  if (!note) return null;
  return (
    <PencilNote
      key={`${chosen.type} ${chosen.at}`}
      title={note.title}
      place={() => editor.placeOf(chosen.at)}
      onDone={() => editor.focus()}
      onClose={onClose}
    >
      {note.body}
      {chosen.type !== 'field' && chosen.type !== 'when' && chosen.type !== 'section' && (
        <div className="note-acts">
          <button type="button" className="btn btn-link" onClick={() => editor.takeOut(chosen.at)}>
            Take it out
          </button>
        </div>
      )}
    </PencilNote>
  );
}

function noteOf({ editor, chosen, facts, tools }: Props) {
  const { at, attrs } = chosen;
  switch (chosen.type) {
    case 'field': {
      const field = attrs as { path: string; steps: Step[] };
      const told = tools.fields.tell(field, chosen.around);
      const kindOf = (path: string) =>
        JSON.stringify(tools.fields.typeOf({ path, steps: [] }, chosen.around));
      const another = (everywhere: boolean) =>
        tools.want({
          at: editor.cursor(),
          around: chosen.around,
          then: ({ path }) =>
            editor.changeFields(
              (one) => (everywhere ? one.attrs.path === field.path : one.at === at),
              // The same kind of fact keeps its form; of another, only what speaks for it where it is missing.
              ({ steps }) => ({
                path,
                steps:
                  kindOf(path) === kindOf(field.path) ? steps : steps.filter(({ step }) => step === 'or'),
              }),
            ),
        });
      return {
        title: told ? `${told.title}, ${told.label}` : field.path,
        body: (
          <FieldNote
            told={told}
            steps={field.steps}
            says={tools.fields.says(field, chosen.around)}
            inView={tools.inView}
            times={editor.timesOf(field.path)}
            onSteps={(steps) => editor.change(at, { steps })}
            onAnother={another}
            onRemove={() => editor.takeOut(at)}
          />
        ),
      };
    }
    case 'when':
      return { title: 'Only when', body: <WhenNote editor={editor} chosen={chosen} tools={tools} /> };
    case 'section':
      return { title: 'Listing', body: <SectionNote editor={editor} chosen={chosen} tools={tools} /> };
    case 'blank':
      return {
        title: 'Blank',
        body: (
          <BlankForm
            blank={attrs as Blank['attrs']}
            currency={facts.business.currency ?? 'GBP'}
            button="Change it"
            onDone={(next) => editor.change(at, { default: null, ...next })}
          />
        ),
      };
    case 'gap':
    case 'unfinished':
      return { title: capital(chosen.type), body: <GapNote editor={editor} chosen={chosen} tools={tools} /> };
    case 'passage': {
      const passage = facts.passages.find(({ key }) => key === attrs.passage);
      return {
        title: passage?.name ?? (attrs.passage as string),
        body: (
          <>
            <p className="note-reason">A passage: its words are the same in every template that has it.</p>
            {passage && (
              <Link href={`/templates/passages/${encodeURIComponent(passage.key)}`}>Change its words</Link>
            )}
          </>
        ),
      };
    }
    case 'signature':
      return {
        title: 'Signature',
        body: <p className="note-reason">Whoever writes the letter signs here.</p>,
      };
    case 'image':
      return { title: 'Picture', body: <PictureNote editor={editor} chosen={chosen} /> };
    default:
      return undefined;
  }
}

function GapNote({ editor, chosen: { at, type, attrs, around }, tools }: Omit<Props, 'facts' | 'onClose'>) {
  const words = attrs.words as string;
  return (
    <>
      <p className="note-reason">
        {type === 'gap'
          ? 'No letter goes while this stands in it.'
          : 'Made up: no letter goes until it is your own.'}
      </p>
      <Form.Control
        aria-label={type === 'gap' ? 'What is missing' : 'Your own words'}
        defaultValue={words}
        onBlur={(event) => {
          const typed = event.target.value.trim();
          if (typed && typed !== words) editor.change(at, { words: typed });
        }}
      />
      <div className="note-acts">
        {type === 'unfinished' && (
          <button
            type="button"
            className="btn btn-link"
            onClick={() => editor.replace(at, { type: 'text', text: words })}
          >
            These are my words
          </button>
        )}
        <button
          type="button"
          className="btn btn-link"
          onClick={() =>
            tools.want({
              at: editor.cursor(),
              around,
              then: ({ path }) => editor.replace(at, { type: 'field', attrs: { path, steps: [] } }),
            })
          }
        >
          A field here
        </button>
      </div>
    </>
  );
}
