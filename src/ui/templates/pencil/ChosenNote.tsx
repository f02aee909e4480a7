'use client';

import type { Step } from '../../../core/document/step';
import type { FieldDesk } from '../../../core/fields/fieldDesk';
import type { Chosen, TemplateEditor } from '../../editor/templateEditor';
import { FieldNote } from './FieldNote';
import { PencilNote } from './PencilNote';

interface Props {
  editor: TemplateEditor;
  chosen: Chosen;
  fields: FieldDesk;
  /** whom the template is seen for */
  inView: string | undefined;
  onAnother: (everywhere: boolean) => void;
  onClose: () => void;
}

/** What is chosen on the page, told and changed in the margin. */
export function ChosenNote({ editor, chosen, fields, inView, onAnother, onClose }: Props) {
  const top = () => editor.placeOf(chosen.at).top;
  if (chosen.type !== 'field') return null;
  const field = chosen.attrs as { path: string; steps: Step[] };
  const told = fields.tell(field, chosen.around);
  return (
    <PencilNote title={told ? `${told.title}, ${told.label}` : field.path} top={top} onClose={onClose}>
      <FieldNote
        key={chosen.at}
        told={told}
        steps={field.steps}
        says={fields.says(field, chosen.around)}
        inView={inView}
        times={editor.timesOf(field.path)}
        onSteps={(steps) => editor.change(chosen.at, { steps })}
        onAnother={onAnother}
        onRemove={() => editor.takeOut(chosen.at)}
      />
    </PencilNote>
  );
}
