import { createStore, del, get, set, clear, type UseStore } from 'idb-keyval';
import type { Mends } from '../../core/bringing/brought';
import type { TableKind } from '../../core/bringing/table/columns';
import type { Decision } from '../../core/bringing/rowState';

/** A file that is being looked at, with what was done to it so far: kept on this device until it is in. */
export interface FileHere {
  /** by which it is the same when it is given again */
  id: string;
  name: string;
  bytes: ArrayBuffer;
  as?: { kind: TableKind; columns: (string | null)[] } | undefined;
  mends: Map<number, Mends>;
  decisions: Map<number, Decision>;
}

let opened: UseStore | undefined;

function store(): UseStore {
  return (opened ??= createStore('fair-quill-files', 'brought'));
}

/** The file that a member left; without storage there is none. */
export function fileHere(owner: string): Promise<FileHere | undefined> {
  return get<FileHere>(owner, store()).catch(() => undefined);
}

export async function keepFileHere(owner: string, file: FileHere | undefined): Promise<void> {
  try {
    await (file ? set(owner, file, store()) : del(owner, store()));
  } catch {
    // The page has it still.
  }
}

/** Nothing of a business stays on a device that nobody is signed in on. */
export function clearFilesHere(): Promise<void> {
  return clear(store()).catch(() => undefined);
}
