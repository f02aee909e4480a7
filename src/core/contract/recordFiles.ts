import type { ShownFile } from './files';

/** What has files of its own; a thing is named by its client's key and its own. */
export const FILE_OWNERS = ['client', 'project', 'booking', 'item'] as const;
export interface FileOwner {
  kind: (typeof FILE_OWNERS)[number];
  key: string;
  /** a thing's client, by key */
  client?: string;
}

/** The files of a record, and what of it is said before more are brought in. */
export interface RecordFiles {
  owner: FileOwner;
  files: ShownFile[];
  /** so many bytes are left of what the business's files may have */
  left: number;
}

/** What came of bringing in a file of a record. */
export type RecordFileAnswer =
  | { result: 'done'; file: ShownFile; left: number; note?: string }
  | { result: 'wrong'; error: string }
  /** the record is no longer there */
  | { result: 'gone'; error: string };
