import { sizeInWords } from '../describe/sizeInWords';
import { MOST_ATTACHED, type ShownFile } from './files';
import { LARGEST_PICTURE } from './pictures';

/** What has files of its own; a thing is named by its client's key and its own. */
export const FILE_OWNERS = ['client', 'project', 'booking', 'item'] as const;
export interface FileOwner {
  kind: (typeof FILE_OWNERS)[number];
  key: string;
  /** a thing's client, by key */
  client?: string;
}

/** So many files one record has. */
export const MOST_OF_ONE = 200;

/** The files of a record, and what of it is said before more are brought in. */
export interface RecordFiles {
  owner: FileOwner;
  files: ShownFile[];
  /** so many bytes are left of what the business's files may have */
  left: number;
}

/** What is said of how large files may be, before they are chosen. */
export function fileLimits(left: number): string {
  return `A file has at most ${sizeInWords(MOST_ATTACHED)}, a photograph ${sizeInWords(LARGEST_PICTURE)}; there is room for ${sizeInWords(Math.max(0, left))} more. Photographs are kept without the place where they were taken.`;
}

/** What came of bringing in a file of a record. */
export type RecordFileAnswer =
  | { result: 'done'; file: ShownFile; left: number; note?: string }
  | { result: 'wrong'; error: string }
  /** the record is no longer there */
  | { result: 'gone'; error: string };
