'use client';

import { useState, type ReactNode } from 'react';

interface Props {
  className?: string;
  onFile: (file: File) => void;
  children: ReactNode;
}

/** A part of a page that files can be dropped on; it shows when one is held over it. */
export function FileDrop({ className = '', onFile, children }: Props) {
  const [isOver, setOver] = useState(false);
  const [isFolder, setFolder] = useState(false);
  return (
    <div
      className={`file-drop ${isOver ? 'is-over' : ''} ${className}`}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setOver(false);
      }}
      onDrop={(event) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(false);
        const dropped = [...event.dataTransfer.items].filter(({ kind }) => kind === 'file');
        const folders = dropped.map((item) => item.webkitGetAsEntry()?.isDirectory === true);
        setFolder(folders.includes(true));
        [...event.dataTransfer.files].filter((_, i) => !folders[i]).forEach((file) => onFile(file));
      }}
    >
      {children}
      <p className="problem" role="alert">
        {isFolder && 'A folder cannot be brought in: drop the files in it.'}
      </p>
    </div>
  );
}
