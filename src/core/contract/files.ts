import { boolean, object, string, type InferType } from 'yup';
import { sizeInWords } from '../describe/sizeInWords';
import { isPaper } from '../template/papers';

/** What goes along with a letter has at most so many bytes together: written as mail it is a third more, and many mailboxes take no more. */
export const MOST_ATTACHED = 15_000_000;

/** The header in which it is told how large a file is, in bytes. */
export const FILE_SIZE = 'x-file-size';

/** So many files a business keeps of its own. */
export const MOST_FILES = 1000;

/** A file of the business that letters can have, by its name; its size in bytes. */
export interface OwnFile {
  name: string;
  size: number;
  /** what it was called before: templates that name it so still find it */
  formerly?: string[];
}

/** What is said of a file that no letter can have. */
export function tooLargeFile(size: number): string {
  return `It has ${sizeInWords(size)}. A letter has at most ${sizeInWords(MOST_ATTACHED)} with it.`;
}

const LONGEST_NAME = 100;

/**
 * A file's name as it is kept: without the path to it, and without what nobody sees in it. One that is too long keeps its ending.
 * Empty: nothing is left.
 */
export function fileName(given: string): string {
  const name = given
    .normalize('NFC')
    .replace(/^.*[/\\]/s, '')
    .replace(/[\p{Cc}\p{Cf}\p{Zl}\p{Zp}]/gu, '')
    .replace(/\s+/g, ' ')
    .replace(/^[. ]+|[. ]+$/g, '');
  if (name.length <= LONGEST_NAME) return isPaper(name.toLowerCase()) ? `${name} (file)` : name;
  const ending = endingOf(name);
  const most = LONGEST_NAME - (ending ? ending.length + 1 : 0);
  return `${[...name].slice(0, most).join('').slice(0, most).trimEnd()}${ending ? `.${ending}` : ''}`;
}

/** "pdf" of "Price list.PDF"; empty where a name has none. */
export function endingOf(name: string): string {
  return /\.([\p{L}\p{N}]{1,10})$/u.exec(name)?.[1]?.toLowerCase() ?? '';
}

/** "Price list 2.pdf", for one that stands beside another. */
export function besideAnother(name: string, number: number): string {
  const ending = endingOf(name);
  const stem = ending ? name.slice(0, -ending.length - 1) : name;
  return `${stem} ${number}${ending ? `.${ending}` : ''}`;
}

/** A name that none of some files has, whatever its case: the one given, else one beside it. */
export function freeName(name: string, taken: readonly string[]): string {
  const names = new Set(taken.map((one) => one.toLowerCase()));
  let free = name;
  for (let number = 2; names.has(free.toLowerCase()); number++) free = besideAnother(name, number);
  return free;
}

/** A name that a file is given: its ending stays, for it says what the file is. */
export function renamed(given: string, before: string): string {
  const name = fileName(given);
  const ending = endingOf(before);
  return !name || !ending || endingOf(name) === ending ? name : fileName(`${name}.${ending}`);
}

/** A file as a list has it. */
export interface ShownFile {
  id: string;
  name: string;
  /** in bytes */
  size: number;
  /** when it was brought in, in words */
  day: string;
  /** of a picture: itself and a small one, by their SHA-256 */
  picture?: string;
  preview?: string;
}

/** A file of the business's own as the list of them has it. */
export interface ListedFile extends OwnFile, ShownFile {
  /** what the templates are called that have it go along */
  templates: string[];
}

/** What is asked of a file: another name, or that it is removed or put back. Given to `/api/own-files/<id>` and `/api/record-files/<id>`. */
export const FILE_CHANGE = object({
  name: string().max(200, 'At most 200 characters.'),
  removed: boolean(),
})
  .noUnknown()
  .test(
    'one',
    'Say a name, or whether it is removed.',
    ({ name, removed }) => (name === undefined) !== (removed === undefined),
  );
export type FileChange = InferType<typeof FILE_CHANGE>;

/** What came of it; its name as it is kept. */
export type FileChanged =
  | { result: 'done'; name: string }
  /** another has the name */
  | { result: 'taken'; error: string; field?: 'name' }
  | { result: 'wrong'; error: string; field: 'name' }
  | { result: 'gone'; error: string };

/** What came of bringing in a file; its name as it is kept. */
export type FileAnswer =
  | ({ result: 'done'; note?: string } & OwnFile)
  /** another has the name: by its content it can be said to be replaced */
  | { result: 'taken'; error: string; sha256: string }
  | { result: 'wrong'; error: string };
