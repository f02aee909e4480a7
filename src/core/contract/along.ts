import { number, object, string, type InferType } from 'yup';
import { MOST_ATTACHED } from '../files/limits';
import type { ShownFile } from './files';

/** Where a file comes from that is added to a letter: the client's, the business's own, or brought in for this letter. */
const SOURCES = ['record', 'own', 'letter'] as const;
export type Source = (typeof SOURCES)[number];

/** A file that a letter's writer has added. */
export const ADDED_FILE = object({
  from: string().oneOf(SOURCES).required(),
  id: string().uuid().required(),
  name: string().required().max(200),
  /** in bytes */
  size: number().required().integer().min(0).max(MOST_ATTACHED),
}).noUnknown();
export type AddedFile = InferType<typeof ADDED_FILE>;

/** The files that could go along with a letter, by whose they are: answered by `/api/along`. */
export interface AlongChoices {
  groups: { title: string; from: Source; files: ShownFile[] }[];
  /** so many bytes are left of what the business's files may have */
  left: number;
}

/** What came of bringing in a file for one letter. */
export type AlongAnswer =
  { result: 'done'; file: AddedFile; note?: string } | { result: 'wrong'; error: string };
