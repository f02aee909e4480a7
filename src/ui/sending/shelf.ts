import { clear, createStore, del, get, set, update, values, type UseStore } from 'idb-keyval';
import type { LetterToSend } from '../../core/contract/letters';
import type { CopyDocument } from '../../core/document/copyDocument';
import type { Kept, Obstacle } from './handover';

/** A letter that the server has not taken within so many milliseconds waits on this device: given again it goes once. */
export const PATIENCE = 20_000;

/** Where a letter is given: to be sent, or to be noted as gone another way. */
export type GivenTo = '/api/letters' | '/api/letters/elsewhere';

/** A letter as the server is given it. */
export type GivenLetter = LetterToSend & { document: CopyDocument };

/** A letter that its writer has sent without a connection: it waits on this device, and is given to the server when there is one. */
export interface ShelvedLetter {
  /** business and member: nobody else gives it */
  owner: string;
  to: GivenTo;
  letter: GivenLetter;
  /** whom it is to */
  name: string;
  /** where it is written */
  href: string;
  draftKey: string;
  /** when it was sent, in milliseconds */
  at: number;
  /** why the server did not take it: its writer has to look */
  refused?: Obstacle;
  /** its writer wants it no more, though the server may have it: the answer was lost with the connection */
  takenBack?: true;
  /** the server has it: told until its writer has seen it */
  kept?: Kept;
}

/** What tells every page of this device that something on the shelf has changed. */
const CHANNEL = 'fair-quill shelf';

let opened: UseStore | undefined;
let channel: BroadcastChannel | undefined;

function store(): UseStore {
  return (opened ??= createStore('fair-quill-shelf', 'shelf'));
}

/** Puts a letter on the shelf. @throws where the device keeps nothing */
export async function shelve(letter: ShelvedLetter): Promise<void> {
  await set(letter.letter.id, letter, store());
  tellShelf();
}

/** A letter on the shelf by its id. */
export function shelved(id: string): Promise<ShelvedLetter | undefined> {
  return get<ShelvedLetter>(id, store()).catch(() => undefined);
}

/** What is on the shelf, the first sent first. @param owner whose; absent: everybody's */
export async function shelfOf(owner?: string): Promise<ShelvedLetter[]> {
  // One that was taken off while it was noted what came of it has left nothing in its place.
  const all = await values<ShelvedLetter | undefined>(store()).catch(() => []);
  const owned = all.flatMap((one) => (one && (owner === undefined || one.owner === owner) ? one : []));
  return owned.sort((a, b) => a.at - b.at);
}

/** Changes what is known of a letter that is on the shelf. */
export async function noteOnShelf(
  id: string,
  change: Pick<ShelvedLetter, 'refused' | 'takenBack' | 'kept'>,
): Promise<void> {
  await update<ShelvedLetter | undefined>(id, (now) => now && { ...now, ...change }, store());
  tellShelf();
}

export async function takeOffShelf(id: string): Promise<void> {
  await del(id, store()).catch(() => undefined);
  tellShelf();
}

/** Whether a letter is on this device alone, as far as is known. */
export function isOnlyHere({ takenBack, kept }: ShelvedLetter): boolean {
  return !takenBack && !kept;
}

export async function clearShelf(): Promise<void> {
  await clear(store()).catch(() => undefined);
}

/** Hears of every change on the shelf, made on this page or another of this device. */
export function onShelf(listener: () => void): () => void {
  const heard = new BroadcastChannel(CHANNEL);
  heard.onmessage = listener;
  return () => heard.close();
}

function tellShelf(): void {
  channel ??= new BroadcastChannel(CHANNEL);
  channel.postMessage('changed');
}
