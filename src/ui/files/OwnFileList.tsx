'use client';

import { useRouter } from 'next/navigation';
import type { ListedFile } from '../../core/contract/files';
import { fileLimits } from '../../core/files/limits';
import { sizeInWords } from '../../core/describe/sizeInWords';
import { ownFileAddress } from '../document/ownFileAddress';
import { BringingList } from './BringingList';
import { bringOwnFile } from './bringOwnFile';
import { FileDrop } from './FileDrop';
import { FileEntry } from './FileEntry';
import { FileWays } from './FileWays';
import { useBringing } from './useBringing';
import { useRemovedFile } from './useRemovedFile';

interface Props {
  files: readonly ListedFile[];
  /** so many bytes are left */
  left: number;
  /** whether the member may change what everyone writes with */
  mayChange: boolean;
}

const addressOf = ({ id }: { id: string }) => `/api/own-files/${id}`;

/** The files of the business's own: brought in, called otherwise, removed; with the templates whose letters have them. */
export function OwnFileList({ files, left, mayChange }: Props) {
  const { refresh } = useRouter();
  const { bringing, bring: begin } = useBringing();
  const { note, remove } = useRemovedFile<ListedFile>(addressOf, { removed: refresh, back: refresh });
  const bring = (file: File) => begin(file, bringOwnFile(file, refresh));
  return (
    <section className="own-files" aria-label="Files of the business">
      <FileDrop onFile={bring}>
        {files.length === 0 && <p>There are none yet.</p>}
        <ul className="file-list">
          {files.map((file) => (
            <li key={file.id}>
              <FileEntry
                {...file}
                href={ownFileAddress(file.name)}
                address={mayChange ? addressOf(file) : undefined}
                note={`${sizeInWords(file.size)}, ${file.day}${alongWith(file.templates)}`}
                onNamed={refresh}
                onRemove={() => void remove(file)}
              />
            </li>
          ))}
        </ul>
        {note}
        <BringingList what="Files" bringing={bringing} />
        <FileWays onFile={bring} />
        <p className="field-help">
          {fileLimits(left)} A template finds a file by the names that it had before, too; without it each of
          its letters stops.
        </p>
      </FileDrop>
    </section>
  );
}

/** "goes along with Price list and First reminder" */
function alongWith(templates: readonly string[]): string {
  if (templates.length === 0) return '';
  const some = templates.slice(0, 3);
  const others = templates.length - some.length;
  const named = [...some.map((name) => `“${name}”`), ...(others > 0 ? [`${others} more`] : [])];
  return `; goes along with ${new Intl.ListFormat('en-GB').format(named)}`;
}
