'use client';

import { useState } from 'react';
import { sizeInWords } from '../../core/describe/sizeInWords';
import { imageSources, withImagesAt } from '../../core/fill/write/images';
import { letterFileName } from '../../core/papers/paperNames';
import { proofLetter } from '../../core/writing/proofLetter';
import { sizeTogether } from '../../core/writing/goesAlong';
import { pictureAddress } from '../document/pictureAddress';
import type { LetterStore } from '../writing/letterStore';
import type { LetterView } from '../writing/letterView';

interface Props {
  view: LetterView;
  store: LetterStore;
  /** the letter as a message file; undefined: it was not made, and it is said elsewhere why */
  asFile: () => Promise<Blob | undefined>;
  /** it went another way */
  onElsewhere: () => void;
}

/** A longer address is cut or refused by mail programs, in characters. */
const LONGEST_MAILTO = 1900;

/** The ways out of the door: copied, as a file, in the device's own mail program, shared; and noted afterwards. */
export default function WaysOut({ view, store, asFile, onElsewhere }: Props) {
  const [said, setSaid] = useState('');
  const [taken, setTaken] = useState(false);

  const letter = () => {
    const now = store.now()!;
    return proofLetter(now.document, now.filled);
  };
  const take = (words: string, way: () => Promise<unknown>) => () => {
    setSaid('');
    way().then(
      (done) => {
        if (done === false) return;
        setSaid(words);
        setTaken(true);
      },
      (error: unknown) => {
        // Whoever leaves the device's own sheet meant to.
        if (!(error instanceof DOMException && error.name === 'AbortError'))
          setSaid('This device did not let it be taken. Choose another way.');
      },
    );
  };

  const copyFormatted = async () => {
    const { html, text } = letter();
    const blob = (type: string, words: string) => new Blob([words], { type });
    await navigator.clipboard.write([
      new ClipboardItem({
        'text/html': withOwnPictures(html).then((whole) => blob('text/html', whole)),
        'text/plain': blob('text/plain', text),
      }),
    ]);
  };
  const copyPlain = () => navigator.clipboard.writeText(letter().text);
  const save = async () => {
    const file = await asFile();
    if (!file) return false;
    const address = URL.createObjectURL(file);
    const link = document.createElement('a');
    link.href = address;
    link.download = letterFileName(letter().subject);
    link.click();
    URL.revokeObjectURL(address);
    return true;
  };
  const share = async () => {
    const { subject, text } = letter();
    await navigator.share({ title: subject, text: `${subject}\n\n${text}` });
  };
  const openMail = async () => {
    const address = mailtoOf(letter());
    if (address.length > LONGEST_MAILTO) {
      setSaid('It is too long for a mail program to take over. Copy it, or save it as a message file.');
      return false;
    }
    window.location.assign(address);
    return true;
  };

  const leftOut = view.choices.leftOut ?? [];
  const along = view.filled.along.filter(({ id }) => !leftOut.includes(id));
  return (
    <>
      <p className="ways">
        <button type="button" className="btn btn-link" onClick={take('Copied.', copyFormatted)}>
          Copy the letter
        </button>
        <button type="button" className="btn btn-link" onClick={take('Copied.', copyPlain)}>
          Copy it without formatting
        </button>
        <button type="button" className="btn btn-link" onClick={take('Saved.', save)}>
          Save as a message file
        </button>
        <button type="button" className="btn btn-link" onClick={take('Handed over.', openMail)}>
          Open in the mail program
        </button>
        {typeof navigator !== 'undefined' && 'share' in navigator && (
          <button type="button" className="btn btn-link" onClick={take('Handed over.', share)}>
            Share
          </button>
        )}
      </p>
      {along.length > 0 && (
        <p className="field-help">
          What goes along ({along.map(({ name }) => name).join(', ')}
          {sizeTogether(along) > 0 && `, ${sizeInWords(sizeTogether(along))}`}) is in the message file alone.
        </p>
      )}
      <p className="ways">
        <span role="status">{said}</span>
        <button
          type="button"
          className={taken ? 'btn btn-outline-primary' : 'btn btn-link'}
          onClick={onElsewhere}
        >
          It went another way: note it
        </button>
      </p>
    </>
  );
}

/** A mailto address (RFC 6068) with whom it goes to, its subject and its words. */
function mailtoOf({ addressing: { to, copies }, subject, text }: ReturnType<typeof proofLetter>): string {
  const emails = (people: typeof to) =>
    people.map(({ email }) => encodeURIComponent(email).replace(/%40/g, '@')).join(',');
  const headers = [
    ...(copies.length ? [`cc=${emails(copies)}`] : []),
    `subject=${encodeURIComponent(subject)}`,
    `body=${encodeURIComponent(text.replace(/\n/g, '\r\n'))}`,
  ];
  return `mailto:${emails(to)}?${headers.join('&')}`;
}

/** The letter's HTML with its pictures in it: elsewhere nobody can fetch them from here. */
async function withOwnPictures(html: string): Promise<string> {
  const pictures = new Map<string, string>();
  for (const source of imageSources(html)) {
    const address = pictureAddress(source);
    const answer = address === undefined ? undefined : await fetch(address).catch(() => undefined);
    if (answer?.ok) pictures.set(source, await dataUrl(await answer.blob()));
  }
  return withImagesAt(html, (source) => pictures.get(source));
}

function dataUrl(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(reader.error ?? new Error('This picture cannot be read.'));
    reader.readAsDataURL(blob);
  });
}
