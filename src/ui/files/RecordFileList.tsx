'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ShownFile } from '../../core/contract/files';
import type { RecordFiles } from '../../core/contract/recordFiles';
import { fileLimits } from '../../core/files/limits';
import { sizeInWords } from '../../core/describe/sizeInWords';
import { BringingList } from './BringingList';
import { bringRecordFile } from './bringRecordFile';
import { FileDrop } from './FileDrop';
import { FileEntry } from './FileEntry';
import { FileWays } from './FileWays';
import { useBringing } from './useBringing';
import { useRemovedFile } from './useRemovedFile';

const addressOf = ({ id }: { id: string }) => `/api/record-files/${id}`;

/** The files of a record: dropped, chosen or photographed, seen small, called otherwise and removed. */
export function RecordFileList({ owner, files: given, left: leftBefore }: RecordFiles) {
  const router = useRouter();
  const [files, setFiles] = useState(given);
  const [removed, setRemoved] = useState<readonly string[]>([]);
  const [left, setLeft] = useState(leftBefore);
  const { bringing, bring: begin } = useBringing();
  const { note, remove } = useRemovedFile<ShownFile>(addressOf, {
    removed: ({ id }) => setRemoved((now) => [...now, id]),
    back: (file) => setRemoved((now) => now.filter((id) => id !== file.id)),
  });
  const bring = (file: File) =>
    begin(
      file,
      bringRecordFile(owner, file, (brought) => {
        const { file: one } = brought;
        setFiles((now) => [...now.filter(({ id }) => id !== one.id), one]);
        setLeft(brought.left);
        // The page that is gone back to has it, too.
        router.refresh();
      }),
    );

  const shown = files.filter(({ id }) => !removed.includes(id));
  return (
    <section className="record-files" aria-labelledby="record-files">
      <h2 id="record-files">Files</h2>
      <FileDrop onFile={bring}>
        {shown.length > 0 && (
          <ul className="file-list">
            {shown.map((file) => (
              <li key={file.id}>
                <FileEntry
                  {...file}
                  href={addressOf(file)}
                  address={addressOf(file)}
                  note={`${sizeInWords(file.size)}, ${file.day}`}
                  onNamed={(name) =>
                    setFiles((now) => now.map((one) => (one.id === file.id ? { ...one, name } : one)))
                  }
                  onRemove={() => void remove(file)}
                />
              </li>
            ))}
          </ul>
        )}
        {note}
        <BringingList what="Files" bringing={bringing} />
        <FileWays onFile={bring} />
        <p className="field-help">{fileLimits(left)}</p>
      </FileDrop>
    </section>
  );
}
