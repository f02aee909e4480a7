import { boolean, object, string, type InferType } from 'yup';

/** A file of the business that letters can have, by its name; its size in bytes. */
export interface OwnFile {
  name: string;
  size: number;
  /** what it was called before: templates that name it so still find it */
  formerly?: string[];
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
