'use client';

import { useEffect, useRef, useState } from 'react';
import type { ShownFile } from '../../core/contract/files';
import { FileName } from './FileName';
import { FilePreview } from './FilePreview';

interface Props extends Pick<ShownFile, 'name' | 'picture' | 'preview'> {
  /** where it is had from */
  href: string;
  /** where it is renamed; absent: it cannot be changed by this member */
  address?: string | undefined;
  /** what is said of it besides */
  note: string;
  onNamed: (name: string) => void;
  onRemove: () => void;
}

/** A file small and by its name: had by a press, renamed in its place, removed. */
export function FileEntry({ address, note, onNamed, onRemove, ...file }: Props) {
  const { name, href } = file;
  const [naming, setNaming] = useState(false);
  const rename = useRef<HTMLButtonElement>(null);
  const comesBack = useRef(false);
  useEffect(() => {
    if (!naming && comesBack.current) rename.current?.focus();
    comesBack.current = naming;
  }, [naming]);

  if (naming && address)
    return (
      <>
        <FilePreview {...file} />
        <FileName
          name={name}
          address={address}
          onNamed={(next) => {
            onNamed(next);
            setNaming(false);
          }}
          onLeave={() => setNaming(false)}
        />
      </>
    );
  return (
    <>
      <FilePreview {...file} />
      <a href={href} download={name}>
        {name}
      </a>
      <span className="entry-note">{note}</span>
      {address && (
        <span className="file-acts">
          <button
            ref={rename}
            type="button"
            className="btn btn-link"
            aria-label={`Rename ${name}`}
            onClick={() => setNaming(true)}
          >
            Rename
          </button>
          <button type="button" className="btn btn-link" aria-label={`Remove ${name}`} onClick={onRemove}>
            Remove
          </button>
        </span>
      )}
    </>
  );
}
