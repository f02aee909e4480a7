'use client';

import { useRef } from 'react';
import { FileInput } from './FileInput';

/** The ways in which files are brought in besides dropping them: photographed, where there is a camera at hand, or chosen. */
export function FileWays({ onFile }: { onFile: (file: File) => void }) {
  const chooser = useRef<HTMLInputElement>(null);
  const camera = useRef<HTMLInputElement>(null);
  return (
    <>
      <p className="ways">
        <button
          type="button"
          className="btn btn-outline-primary only-touch"
          onClick={() => camera.current?.click()}
        >
          Photograph
        </button>
        <button type="button" className="btn btn-outline-primary" onClick={() => chooser.current?.click()}>
          Choose files
        </button>
        <span className="entry-note not-touch">or drop them here</span>
      </p>
      <FileInput label="Files" chooser={chooser} onFile={onFile} />
      <FileInput label="Photograph" chooser={camera} accept="image/*" camera onFile={onFile} />
    </>
  );
}
