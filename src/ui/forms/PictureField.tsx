'use client';

import { useRef, useState } from 'react';
import { useController } from 'react-hook-form';
import { bringPicture } from '../files/bringPicture';
import { LabelledGroup } from './Labelled';

interface Props {
  name: string;
  label: string;
  help?: string;
  /** what it shows, in words */
  alt: string;
}

/** A picture of the business: chosen or photographed, brought in at once, and said when the form is kept. */
export function PictureField({ name, label, help, alt }: Props) {
  const { field } = useController({ name });
  const chooser = useRef<HTMLInputElement>(null);
  const [share, setShare] = useState<number>();
  const [trouble, setTrouble] = useState<string>();
  const sha256 = typeof field.value === 'string' && field.value ? field.value : undefined;

  async function bring(file: File) {
    setTrouble(undefined);
    setShare(0);
    const brought = await bringPicture(file, { share: setShare });
    setShare(undefined);
    if ('trouble' in brought) setTrouble(brought.trouble);
    else field.onChange(brought.sha256);
  }

  return (
    <LabelledGroup name={name} label={label}>
      <div className="picture-field">
        {/* The business's own, scaled when it was brought in. */}
        {sha256 && <img src={`/api/pictures/${sha256}`} alt={alt} />}
        <input
          ref={chooser}
          type="file"
          hidden
          accept="image/*"
          aria-label={label}
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            if (file) void bring(file);
            target.value = '';
          }}
        />
        <button
          type="button"
          className="btn btn-outline-primary"
          disabled={share !== undefined}
          onClick={() => chooser.current?.click()}
        >
          {sha256 ? 'Another picture' : 'Choose a picture'}
        </button>
        {sha256 && (
          <button type="button" className="btn btn-link" onClick={() => field.onChange('')}>
            No picture
          </button>
        )}
      </div>
      {help && <p className="field-help">{help}</p>}
      <p role="status">{share !== undefined && `Being brought in: ${Math.round(share * 100)} % …`}</p>
      <p className="problem" role="alert">
        {trouble}
      </p>
    </LabelledGroup>
  );
}
