'use client';

import { useEffect, useRef, useState } from 'react';
import type { AddedFile, AlongChoices, Source } from '../../core/contract/along';
import { MOST_ADDED } from '../../core/files/limits';
import type { ShownFile } from '../../core/contract/files';
import { fileLimits } from '../../core/files/limits';
import type { Refusal } from '../../core/contract/refusal';
import { sizeInWords } from '../../core/describe/sizeInWords';
import { fileIsIn, type Shared } from '../device/shared';
import { BringingList } from '../files/BringingList';
import { bringLetterFile } from '../files/bringLetterFile';
import { FileDrop } from '../files/FileDrop';
import { FilePreview } from '../files/FilePreview';
import { FileWays } from '../files/FileWays';
import { useBringing } from '../files/useBringing';
import { idOfAdded } from '../../core/writing/goesAlong';
import { alongAddress } from './alongAddress';
import { askServer } from './askServer';

interface Props {
  /** the record that the letter starts from: `invoice:LPC-1048` */
  from: string;
  /** what goes along already, by its ids */
  there: ReadonlySet<string>;
  /** files that were shared to the application: they are brought in at once */
  shared: Shared['files'];
  onAdd: (file: AddedFile) => void;
  onDone: () => void;
}

type Fetched = { state: 'fetching' | 'offline' } | { state: 'failed'; words: string } | Found;
type Found = { state: 'here' } & AlongChoices;

/** What can be added to a letter: the client's files and the business's own, or one from the device or its camera. */
export default function AddAlong({ from, there, shared, onAdd, onDone }: Props) {
  const [choices, setChoices] = useState<Fetched>({ state: 'fetching' });
  useEffect(() => {
    let gone = false;
    void askServer<AlongChoices | Refusal>(`/api/along?${new URLSearchParams({ from })}`).then((answer) => {
      if (gone) return;
      if ('offline' in answer) return setChoices({ state: 'offline' });
      const { body } = answer;
      setChoices('groups' in body ? { state: 'here', ...body } : { state: 'failed', words: body.error });
    });
    return () => {
      gone = true;
    };
  }, [from]);
  const { bringing, bring: begin } = useBringing();
  const bring = (file: File) => begin(file, bringLetterFile(file, onAdd));
  const begun = useRef(new Set<string>());
  useEffect(() => {
    for (const { file, place } of shared) {
      if (begun.current.has(place)) continue;
      begun.current.add(place);
      const added = (one: AddedFile) => {
        onAdd(one);
        void fileIsIn(place);
      };
      begin(file, bringLetterFile(file, added));
    }
  }, [shared, begin, onAdd]);
  const isFull = there.size >= MOST_ADDED;

  return (
    <section className="add-along" aria-label="Add to the letter">
      <FileDrop onFile={bring}>
        <BringingList what="Files" bringing={bringing} />
        {isFull ? (
          <p className="field-help">There are {MOST_ADDED} files with it, and no more can be.</p>
        ) : (
          <FileWays onFile={bring} />
        )}
        {choices.state === 'fetching' && (
          <p className="hint" role="status">
            Looking for the client’s files …
          </p>
        )}
        {choices.state === 'offline' && (
          <p className="field-help">
            There is no connection: what is kept at the server cannot be chosen now.
          </p>
        )}
        {choices.state === 'failed' && <p className="trouble">{choices.words}</p>}
        {choices.state === 'here' &&
          choices.groups.map(({ title, from: source, files }) => (
            <Group key={`${source} ${title}`} {...{ title, source, files, there, isFull, onAdd }} />
          ))}
        {choices.state === 'here' && <p className="field-help">{fileLimits(choices.left)}</p>}
      </FileDrop>
      <button type="button" className="btn btn-link" disabled={bringing.length > 0} onClick={onDone}>
        Done
      </button>
    </section>
  );
}

function Group({
  title,
  source,
  files,
  there,
  isFull,
  onAdd,
}: { title: string; source: Source; files: readonly ShownFile[]; isFull: boolean } & Pick<
  Props,
  'there' | 'onAdd'
>) {
  return (
    <>
      <h2>{title}</h2>
      <ul className="file-list">
        {files.map((file) => {
          const added = { from: source, id: file.id, name: file.name, size: file.size };
          const id = idOfAdded(added);
          return (
            <li key={file.id}>
              <FilePreview {...file} href={alongAddress({ id, name: file.name, added })!} />
              <span>{file.name}</span>
              <span className="entry-note">
                {sizeInWords(file.size)}, {file.day}
              </span>
              {there.has(id) ? (
                <span className="entry-note">goes along</span>
              ) : (
                <button
                  type="button"
                  className="btn btn-link"
                  aria-label={`Add ${file.name}`}
                  disabled={isFull}
                  onClick={() => onAdd(added)}
                >
                  Add
                </button>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}
