import { clear, createStore, del, get, set, update, values, type UseStore } from 'idb-keyval';
import type { CopyDocument } from '../../core/fairCopy/copyDocument';
import type { StartingPoint } from '../../core/records/which/situation';
import type { Letter } from '../../core/writing/letter';

/** A letter that has been begun on this device. It is kept here until the server has it. */
export interface Draft {
  /** the letter's id from the moment writing begins: two tabs of it are one letter */
  id: string;
  /** absent until a template is chosen */
  letter?: Letter;
  /** as the letter was filled when it was kept */
  base?: CopyDocument;
}

let opened: UseStore | undefined;

function store(): UseStore {
  return (opened ??= createStore('fair-quill', 'drafts'));
}

export function draftKey(member: string, { kind, key }: StartingPoint): string {
  return `${member} ${kind}:${key}`;
}

/** The draft of a starting point; begun now when there is none, by one tab only. */
export async function openDraft(key: string): Promise<Draft> {
  const fresh = { id: newId() };
  try {
    await update<Draft>(key, (draft) => draft ?? fresh, store());
    return (await get<Draft>(key, store())) ?? fresh;
  } catch {
    // Without storage the letter lives as long as the page.
    return fresh;
  }
}

/** Keeps what is written, unless the draft has been sent or begun anew elsewhere. */
export async function keepDraft(key: string, draft: Draft): Promise<boolean> {
  let kept = false;
  await update<Draft | undefined>(
    key,
    (before) => {
      kept = before?.id === draft.id;
      return kept ? draft : before;
    },
    store(),
  );
  return kept;
}

/** The server has it, or its writer does not want it: the next letter from there is a new one. */
export async function dropDraft(key: string, id: string): Promise<void> {
  const draft = await get<Draft>(key, store()).catch(() => undefined);
  if (draft?.id === id) await del(key, store());
}

/** A new letter with the same words, after the first was taken back. */
export async function renewDraft(key: string, draft: Draft): Promise<Draft> {
  const renewed = { ...draft, id: newId() };
  await set(key, renewed, store()).catch(() => undefined);
  return renewed;
}

/** How many letters on this device have words of their writer's in them. */
export async function countDrafts(): Promise<number> {
  const drafts = await values<Draft>(store()).catch(() => []);
  return drafts.filter(
    ({ letter, base }) => letter && JSON.stringify(letter.document) !== JSON.stringify(base),
  ).length;
}

export async function clearDrafts(): Promise<void> {
  await clear(store()).catch(() => undefined);
}

/** A random UUID (RFC 9562, version 4); `randomUUID` is missing on a plain address of the local network. */
function newId(): string {
  if ('randomUUID' in crypto) return crypto.randomUUID();
  const bytes = (crypto as Crypto).getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}
