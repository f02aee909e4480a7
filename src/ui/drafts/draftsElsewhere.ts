import type { DraftAnswer, DraftToKeep, KeptDraft } from '../../core/contract/drafts';
import type { DraftsThere } from '../../core/contract/writing';
import type { Refusal } from '../../core/contract/refusal';
import { newId } from '../shell/newId';
import { askServer } from '../writing/askServer';
import {
  bringBackLastWords,
  changeDrafts,
  hasOwnWords,
  listDrafts,
  readDraft,
  same,
  type Draft,
} from './drafts';

/** What is given in the same moment is not seen yet, by so many milliseconds. */
const MOMENT = 5_000;

const pathOf = (id: string) => `/api/drafts/${id}`;

const DEVICE = 'fair-quill device';

/** Tells this device from the member's others. */
function thisDevice(): string {
  let device = localStorage.getItem(DEVICE);
  if (!device) localStorage.setItem(DEVICE, (device = newId()));
  return device;
}

const giving = new Map<string, Promise<unknown>>();

/**
 * Gives the server a draft of this device, for the others; each one after the other.
 * @param key of the drafts from one starting point, which ends with it
 * @returns the version of other words that another device has kept since; undefined: there are none that are known of
 */
export async function giveDraft(key: string, id: string): Promise<number | undefined> {
  const given = (giving.get(id) ?? Promise.resolve()).then(() => give(key, id));
  giving.set(
    id,
    given.catch(() => undefined),
  );
  return given.catch(() => undefined);
}

async function give(key: string, id: string): Promise<number | undefined> {
  const draft = await readDraft(key, id).catch(() => undefined);
  if (!draft?.changed || !draft.base || !draft.letter || !hasOwnWords(draft)) return undefined;
  const { letter, base, name = '', template = '', version = 0 } = draft;
  const { choices, document } = letter;
  const asked: DraftToKeep = {
    from: key.slice(key.lastIndexOf(' ') + 1),
    choices: choices as DraftToKeep['choices'],
    document,
    base,
    name: name || 'somebody',
    template: template || 'A letter',
    seen: version,
    device: thisDevice(),
  };
  const answer = await askServer<DraftAnswer>(pathOf(id), asked, 'PUT');
  if ('offline' in answer) return undefined;
  if (answer.body.version === undefined) {
    // It was thrown away on another device, and is written on here; one that was sent stays so.
    if (answer.status === 404 && version) {
      await set(key, id, ({ version: _, givenAt: __, ...rest }) => rest);
      return give(key, id);
    }
    return undefined;
  }
  if (answer.body.overtaken) return answer.body.version;
  const { version: given, at: givenAt } = answer.body;
  await set(key, id, (now) => ({ ...now, version: given, givenAt, changed: !same(now.letter, letter) }));
  return undefined;
}

/** Gives the server what it lacks of one member's drafts. */
export async function giveDrafts(owner: string): Promise<void> {
  const all = await listDrafts(owner);
  await Promise.all(all.map(({ key, id }) => giveDraft(key, id)));
}

/** Takes up what another device has kept of a draft; undefined: it cannot be had. */
export async function takeDraft(key: string, id: string): Promise<Draft | undefined> {
  const answer = await askServer<KeptDraft | Refusal>(pathOf(id));
  if ('offline' in answer || 'error' in answer.body) return undefined;
  const { letter, base, name, template, version, at } = answer.body;
  const draft: Draft = { id, letter, base, name, template, version, at, givenAt: at, changed: false };
  await changeDrafts(key, (before) => [...before.filter((one) => one.id !== id), draft]);
  return draft;
}

/** The words here stand, whatever another device has kept. @param version of what it has kept */
export async function overrule(key: string, id: string, version: number): Promise<number | undefined> {
  await set(key, id, (now) => ({ ...now, version, changed: true }));
  return giveDraft(key, id);
}

/** A draft that was thrown away here is so everywhere. */
export async function forgetDraft(id: string): Promise<void> {
  await askServer(pathOf(id), {}, 'DELETE');
}

/**
 * Has the drafts from one starting point here that the member's other devices have kept, and none that was sent or thrown away there.
 * What was written here meanwhile stays, and is told when it is given.
 */
export async function bringDrafts(key: string, { kept, asOf }: DraftsThere): Promise<void> {
  await bringBackLastWords(key);
  let here: Draft[] = [];
  await changeDrafts(key, (before) => {
    const there = new Set(kept.map(({ id }) => id));
    here = before.flatMap((draft): Draft[] => {
      const { version, givenAt = asOf, ...words } = draft;
      if (version === undefined || draft.gone || there.has(draft.id)) return [draft];
      // Its words since are a new letter: the other has gone.
      if (draft.changed) return [{ ...words, id: newId() }];
      return givenAt > asOf - MOMENT ? [draft] : [];
    });
    return here;
  });
  await Promise.all(
    kept.map(async ({ id, version }) => {
      const draft = here.find((one) => one.id === id);
      if (draft?.gone) return forgetDraft(id);
      if (draft?.changed || draft?.version === version) return undefined;
      return takeDraft(key, id);
    }),
  );
}

async function set(key: string, id: string, to: (draft: Draft) => Draft): Promise<void> {
  await changeDrafts(key, (before) => before.map((one) => (one.id === id && !one.gone ? to(one) : one)));
}
