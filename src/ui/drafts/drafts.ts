import { clear, createStore, entries, get, update, type UseStore } from 'idb-keyval';
import { newId } from '../shell/newId';
import { shelfOf } from '../sending/shelf';
import type { AskedLetter } from '../writing/useWriting';
import type { CopyDocument } from '../../core/document/copyDocument';
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
  /** whom it is to and from which template, for a list of drafts */
  name?: string;
  template?: string;
  /** when it was last kept, in milliseconds */
  at?: number;
  /** the server's version that these words, or those before them, are; absent: it has none */
  version?: number;
  /** when the server kept that version, by its clock */
  givenAt?: number;
  /** whether the server has other words than these */
  changed?: boolean;
  /** the server has it, or its writer does not want it: kept for a while, so that another tab does not bring it back */
  gone?: true;
}

/** A draft with where it is written on. */
export interface DraftHere extends Draft {
  key: string;
  /** `invoice:K-101` */
  from: string;
}

export type Keeping = 'kept' | 'overtaken' | 'gone';

/** How long a draft that has gone is remembered. */
const REMEMBERED = 86_400_000;

/** Where the last words are put when the page goes, which the device's store could be too slow for. */
const LAST_WORDS = 'fair-quill last words';

let opened: UseStore | undefined;

function store(): UseStore {
  return (opened ??= createStore('fair-quill', 'drafts'));
}

/** The drafts of one member of one business from one starting point have one key. */
export function draftKey(owner: string, { kind, key }: StartingPoint): string {
  return `${owner} ${kind}:${key}`;
}

/**
 * The draft to write on: the one that was asked for; else the newest from the template that was, else the newest of all; begun now when
 * there is none, by one tab only. Those that wait for a connection are not written on.
 * @returns it, and the others with words of their writer's in them
 */
export async function openDraft(
  key: string,
  { template, letter: asked, shared, reply }: AskedLetter,
): Promise<{ draft: Draft; others: Draft[] }> {
  const fresh: Draft = { id: newId() };
  const all = await shelfOf();
  const waiting = new Set(all.flatMap(({ letter, refused }) => (refused ? [] : [letter.id])));
  const isWanted = ({ letter, id }: Draft) =>
    !waiting.has(id) &&
    (letter === undefined ||
      (!shared &&
        letter.choices.reply?.to === reply &&
        (template === undefined || letter.choices.template === template)));
  let list: Draft[] = [fresh];
  let draft = fresh;
  try {
    await bringBackLastWords(key);
    await changeDrafts(key, (before) => {
      const open = before.filter(({ gone }) => !gone).sort((a, b) => (b.at ?? 0) - (a.at ?? 0));
      draft = open.find(({ id }) => id === asked) ?? open.find(isWanted) ?? fresh;
      return (list = before.includes(draft) ? before : [...before, draft]);
    });
  } catch {
    // Without storage the letter lives as long as the page.
  }
  return { draft, others: list.filter((one) => one !== draft && !waiting.has(one.id) && hasOwnWords(one)) };
}

/**
 * Keeps what is written.
 * @param seen the letter as this tab last kept or read it: where another tab has kept other words since, nothing is
 * @param force to keep it all the same
 */
export async function keepDraft(
  key: string,
  draft: Draft,
  seen: Letter | undefined,
  force = false,
): Promise<Keeping> {
  let result: Keeping = 'kept';
  await changeDrafts(key, (before) => {
    const now = before.find(({ id }) => id === draft.id);
    if (now?.gone) result = 'gone';
    else if (now && !force && !same(now.letter, seen) && !same(now.letter, draft.letter))
      result = 'overtaken';
    else {
      result = 'kept';
      const { version, givenAt, changed } = now ?? draft;
      const isOther = changed === true || !now || !same(now.letter, draft.letter);
      return [
        ...before.filter(({ id }) => id !== draft.id),
        {
          ...draft,
          at: Date.now(),
          ...(version && givenAt ? { version, givenAt } : {}),
          ...(isOther ? { changed: true } : {}),
        },
      ];
    }
    return before;
  });
  return result;
}

/** What this device has of a letter. */
export async function readDraft(key: string, id: string): Promise<Draft | undefined> {
  return (await get<Draft[]>(key, store()))?.find((one) => one.id === id);
}

/** Keeps the last words at once, to be found when the page comes again. */
export function keepLastWords(key: string, draft: Draft): void {
  try {
    localStorage.setItem(LAST_WORDS, JSON.stringify({ key, draft }));
  } catch {
    // There is no room, or no storage: the device's store may still have it.
  }
}

/** The server has it, or its writer does not want it: the next letter from there is a new one. */
export async function dropDraft(key: string, id: string): Promise<void> {
  await changeDrafts(key, (before) => [
    ...before.filter((one) => one.id !== id),
    { id, gone: true, at: Date.now() },
  ]).catch(() => undefined);
}

/** A new letter with the same words, after the first was taken back. */
export async function renewDraft(key: string, draft: Draft): Promise<Draft> {
  const { version: _, givenAt: __, ...words } = draft;
  const renewed = { ...words, id: newId(), changed: true };
  await changeDrafts(key, (before) => [...before, { ...renewed, at: Date.now() }]).catch(() => undefined);
  return renewed;
}

/** Letters that were begun on this device and have words of their writer's in them, newest first. */
export async function listDrafts(owner?: string): Promise<DraftHere[]> {
  const all = await entries<string, Draft[]>(store()).catch(() => []);
  return all
    .filter(([key]) => owner === undefined || key.startsWith(`${owner} `))
    .flatMap(([key, drafts]) =>
      drafts
        .filter(hasOwnWords)
        .map((draft) => ({ ...draft, key, from: key.slice(key.lastIndexOf(' ') + 1) })),
    )
    .sort((a, b) => (b.at ?? 0) - (a.at ?? 0));
}

/** The ids of those that were sent, or thrown away, on this device. */
export async function goneHere(): Promise<ReadonlySet<string>> {
  const all = await entries<string, Draft[]>(store()).catch(() => []);
  return new Set(all.flatMap(([, drafts]) => drafts.flatMap(({ id, gone }) => (gone ? id : []))));
}

export async function clearDrafts(): Promise<void> {
  localStorage.removeItem(LAST_WORDS);
  await clear(store()).catch(() => undefined);
}

/** Whether anything in it is not from its template and the records. */
export function hasOwnWords({ letter, base, gone }: Draft): boolean {
  if (!letter || gone) return false;
  return Object.keys(letter.choices.answers).length > 0 || !same(letter.document, base);
}

/** Changes the drafts from one starting point. */
export async function changeDrafts(key: string, to: (before: Draft[]) => Draft[]): Promise<void> {
  await update<Draft[]>(
    key,
    (before) => to((before ?? []).filter(({ gone, at = 0 }) => !gone || Date.now() - at < REMEMBERED)),
    store(),
  );
}

/** Takes up the last words of a page that has gone, where they are of a letter from there. */
export async function bringBackLastWords(key: string): Promise<void> {
  const last = localStorage.getItem(LAST_WORDS);
  if (!last) return;
  const { key: of, draft } = JSON.parse(last) as { key: string; draft: Draft };
  if (of !== key) return;
  localStorage.removeItem(LAST_WORDS);
  await keepDraft(key, draft, undefined, true);
}

/** Whether two letters are the same. */
export function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
