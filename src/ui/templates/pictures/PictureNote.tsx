'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { Line } from '../../../core/document/templateDocument';
import { safeAddress } from '../../../core/document/safeAddress';
import { printLine } from '../../../core/template/text/printLine';
import { pictureAddress } from '../../document/pictureAddress';
import type { Chosen, TemplateEditor } from '../../editor/templateEditor';
import { CropForm } from './CropForm';

interface Props {
  editor: TemplateEditor;
  chosen: Chosen;
}

/** A letter is so wide, in pixels. */
const WIDEST = 600;

/** What a picture on the page shows, how wide it stands, where it leads, and what is cut off. */
export function PictureNote({ editor, chosen: { at, attrs } }: Props) {
  const [cropping, setCropping] = useState(false);
  const [wrong, setWrong] = useState(false);
  const words = printLine(attrs.description as Line);
  const source = printLine(attrs.source as Line);
  const leads = attrs.link ? printLine(attrs.link as Line) : '';
  const width = attrs.width as number | null;
  const address = pictureAddress(source);
  const wider = (next: number) => editor.change(at, { width: Math.max(16, Math.min(WIDEST, next)) });
  return (
    <>
      <Form.Group controlId="picture-words" className="field-fallback">
        <Form.Label>What it shows, for those who see none</Form.Label>
        <Form.Control
          key={words}
          defaultValue={words}
          onBlur={(event) => {
            const typed = event.target.value.trim();
            if (typed !== words)
              editor.change(at, { description: typed ? [{ type: 'text', text: typed }] : [] });
          }}
        />
      </Form.Group>
      <Form.Group controlId="picture-width" className="field-fallback">
        <Form.Label>Its width: {width === null ? 'as it is' : `${width} of ${WIDEST}`}</Form.Label>
        <Form.Range
          min={16}
          max={WIDEST}
          step={4}
          value={width ?? WIDEST}
          onChange={(event) => wider(Number(event.target.value))}
        />
      </Form.Group>
      <Form.Group controlId="picture-link" className="field-fallback">
        <Form.Label>Where it leads when it is pressed</Form.Label>
        <Form.Control
          key={leads}
          defaultValue={leads}
          placeholder="nowhere"
          isInvalid={wrong}
          aria-describedby="picture-link-problem"
          onBlur={(event) => {
            const typed = event.target.value.trim();
            const safe = safeAddress(typed) ?? safeAddress(`https://${typed}`);
            const hasFields = typed.includes('{{');
            setWrong(Boolean(typed) && !safe && !hasFields);
            if (typed === leads || hasFields || (typed && !safe)) return;
            editor.change(at, { link: safe ? [{ type: 'text', text: safe }] : null });
          }}
        />
        <p id="picture-link-problem" className="problem" role="alert">
          {wrong && 'Write an address of the web or of mail.'}
        </p>
      </Form.Group>
      {address && (
        <div className="note-acts">
          <button type="button" className="btn btn-link" onClick={() => setCropping(true)}>
            Crop it
          </button>
        </div>
      )}
      {cropping && address && (
        <CropForm
          address={address}
          onDone={({ sha256, width: cut }) => {
            setCropping(false);
            editor.focus();
            editor.change(at, {
              source: [{ type: 'text', text: sha256 }],
              ...(width === null ? {} : { width: Math.min(width, cut) }),
            });
          }}
          onClose={() => setCropping(false)}
        />
      )}
    </>
  );
}
