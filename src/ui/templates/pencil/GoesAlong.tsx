'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { OwnFile } from '../../../core/contract/files';
import { MOST_ATTACHED, tooLargeFile } from '../../../core/files/limits';
import { sizeInWords } from '../../../core/describe/sizeInWords';
import { LEADS_TO } from '../../../core/records/which/situation';
import { PAPERS, type Paper } from '../../../core/template/papers';
import type { TemplateHead } from '../../../core/template/template';
import { filesAlong, isSameName, sizeTogether } from '../../../core/writing/goesAlong';
import { ownFileAddress } from '../../document/ownFileAddress';
import { BringingList } from '../../files/BringingList';
import { bringOwnFile } from '../../files/bringOwnFile';
import { FileDrop } from '../../files/FileDrop';
import { FileInput } from '../../files/FileInput';
import { useBringing } from '../../files/useBringing';

interface Props {
  head: TemplateHead;
  /** the business's own */
  files: readonly OwnFile[];
  /** what the business calls a booking */
  booking: string;
  onChange: (attach: string[] | undefined) => void;
}

/** What goes along with a letter: the record's own papers by choice, and files, which are chosen among the business's own or brought in. */
export function GoesAlong({ head, files, booking, onChange }: Props) {
  const [brought, setBrought] = useState<readonly OwnFile[]>([]);
  const chooser = useRef<HTMLInputElement>(null);
  const router = useRouter();
  const known = [
    ...brought,
    ...files.filter(({ name }) => brought.every((one) => !isSameName(one.name, name))),
  ];
  const leads = LEADS_TO[head.startsFrom];
  const papers: [Paper, string][] = [
    ...(leads.includes('invoice') ? [['invoice pdf', PAPERS['invoice pdf']] as [Paper, string]] : []),
    ...(leads.includes('booking')
      ? [['booking calendar entry', `the ${booking}’s calendar entry`] as [Paper, string]]
      : []),
  ];
  const attach = head.attach ?? [];
  const put = (next: string[]) => onChange(next.length ? next : undefined);
  const without = (name: string) => attach.filter((one) => !isSameName(one, name));
  const add = (name: string) => put([...without(name), name]);
  const { bringing, bring: begin } = useBringing();
  const onBrought = (file: OwnFile) => {
    setBrought((now) => [file, ...now.filter(({ name }) => !isSameName(name, file.name))]);
    add(file.name);
    // Templates that were opened a moment ago know of it, too.
    router.refresh();
  };
  // Meanwhile something else may have been put along.
  const latest = useRef(onBrought);
  useEffect(() => {
    latest.current = onBrought;
  });
  const bring = (file: File) =>
    begin(
      file,
      bringOwnFile(file, (one) => latest.current(one)),
    );
  const along = filesAlong(head, known);
  const others = known.filter(({ name }) => !along.some((one) => isSameName(one.name, name)));
  const together = sizeTogether(along);
  return (
    <fieldset className="field-fallback goes-along">
      <legend className="form-label">Goes along</legend>
      <FileDrop onFile={bring}>
        {papers.map(([paper, words]) => (
          <label key={paper} className="check">
            <input
              type="checkbox"
              checked={attach.includes(paper)}
              onChange={(event) => (event.target.checked ? add(paper) : put(without(paper)))}
            />
            {words}
          </label>
        ))}
        <ul className="files-along">
          {along.map(({ name, size, formerly }) => (
            <li key={name}>
              {size === undefined ? name : <a href={ownFileAddress(name)}>{name}</a>}
              {size !== undefined && `, ${sizeInWords(size)}`}{' '}
              <button
                type="button"
                className="btn btn-link"
                aria-label={`Leave out ${name}`}
                onClick={() =>
                  put(attach.filter((one) => ![name, formerly ?? name].some((its) => isSameName(its, one))))
                }
              >
                leave out
              </button>
              {size === undefined && (
                <span className="problem">
                  It is not among the business’s files: each letter stops there until it is.
                </span>
              )}
            </li>
          ))}
        </ul>
        {together > MOST_ATTACHED && (
          <p className="problem" role="alert">
            {tooLargeFile(together)}
          </p>
        )}
        <BringingList what="Files" bringing={bringing} />
        {others.length > 0 && (
          <Form.Select
            size="sm"
            aria-label="One of the business’s files"
            value=""
            onChange={(event) => add(event.target.value)}
          >
            <option value="">one of the business’s files …</option>
            {others.map(({ name, size }) => (
              <option key={name} value={name}>
                {name}, {sizeInWords(size)}
              </option>
            ))}
          </Form.Select>
        )}
        <button type="button" className="btn btn-link" onClick={() => chooser.current?.click()}>
          Bring in a file
        </button>
        <p className="note-reason">Files can be dropped here, too. They are the business’s from then on.</p>
        <FileInput label="Files" chooser={chooser} onFile={bring} />
      </FileDrop>
    </fieldset>
  );
}
