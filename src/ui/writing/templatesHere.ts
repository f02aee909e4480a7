import { ownerKey } from '../../core/contract/ownerKey';
import { clear, createStore, delMany, get, getMany, keys, set, setMany, type UseStore } from 'idb-keyval';
import {
  EDITION_COOKIE,
  MOST_WORDS,
  type WritingAnswer,
  type TemplateList,
} from '../../core/contract/writing';
import type { ListedTemplate, TemplateWords } from '../../core/fitting/listedTemplate';
import { DOCUMENT_SCHEMA } from '../../core/document/templateDocument';
import { askServer } from './askServer';

/** A list of templates as this device keeps it. Its edition tells whose it is, too. */
interface KeptList {
  edition: string;
  /** business and member */
  owner?: string;
  list: TemplateList;
}

/** The list's place in the device's store; words lie beside it under their own keys. */
const LIST = 'list';

let opened: UseStore | undefined;
let list: KeptList | undefined;
const words = new Map<string, TemplateWords>();

function store(): UseStore {
  return (opened ??= createStore('fair-quill-templates', 'templates'));
}

/** A cookie tells the server which list is here when it draws a writing page. */
function tellServer(edition: string): void {
  document.cookie = `${EDITION_COOKIE}=${edition}; path=/write; samesite=strict; max-age=31536000`;
}

/** Which list of templates this device has; undefined where it has none. */
export async function editionHere(): Promise<string | undefined> {
  // Without storage, templates live as long as the page.
  list ??= await get<KeptList>(LIST, store()).catch(() => undefined);
  return list?.edition;
}

/**
 * The list that belongs to an answer of the server: the one that came with it, kept from now on, or the one that is here.
 * @returns undefined where it is neither: it has gone meanwhile
 */
export async function listFor(facts: WritingAnswer): Promise<TemplateList | undefined> {
  if (facts.list) {
    list = { edition: facts.edition, owner: ownerKey(facts.business, facts.member), list: facts.list };
    await keepWords(facts.words ?? []);
    await set(LIST, list, store()).then(
      () => tellServer(facts.edition),
      () => undefined,
    );
    await dropOthers(facts.list.templates).catch(() => undefined);
  }
  return list?.edition === facts.edition ? list.list : undefined;
}

/** The list that is here, whatever edition it is: undefined where it is somebody else's, or there is none. */
export async function listHere(facts: WritingAnswer): Promise<TemplateList | undefined> {
  await editionHere();
  return list?.owner === ownerKey(facts.business, facts.member) ? list.list : undefined;
}

/** The words of templates that are on this device, in the versions that are listed. */
export async function wordsHere(templates: readonly ListedTemplate[]): Promise<TemplateWords[]> {
  const asked = templates.filter((template) => !words.has(placeOf(template)));
  if (asked.length > 0) {
    const found = await getMany<TemplateWords | undefined>(asked.map(placeOf), store()).catch(() => []);
    for (const one of found) if (one) words.set(placeOf(one), one);
  }
  return templates.flatMap((template) => words.get(placeOf(template)) ?? []);
}

/**
 * Fetches the words of templates and keeps them, so many at a time.
 * @param brought hears of each lot as it comes
 * @param stopped whether they are no longer wanted
 * @returns whether all were answered for: false without a connection, or when the server cannot
 */
export async function fetchWords(
  templates: readonly ListedTemplate[],
  brought: (lot: readonly TemplateWords[]) => void,
  stopped: () => boolean,
): Promise<boolean> {
  for (let from = 0; from < templates.length; from += MOST_WORDS) {
    if (stopped()) return true;
    const lot = templates.slice(from, from + MOST_WORDS);
    const keys = lot.map(({ key }) => `key=${encodeURIComponent(key)}`).join('&');
    const answer = await askServer<TemplateWords[]>(`/api/templates/words?${keys}`);
    if ('offline' in answer || answer.status !== 200) return false;
    await keepWords(answer.body);
    brought(answer.body);
  }
  return true;
}

/** Nothing of a business stays on a device that nobody is signed in on. */
export async function clearTemplatesHere(): Promise<void> {
  list = undefined;
  words.clear();
  await clear(store()).catch(() => undefined);
}

async function keepWords(lot: readonly TemplateWords[]): Promise<void> {
  for (const one of lot) words.set(placeOf(one), one);
  await setMany(
    lot.map((one) => [placeOf(one), one]),
    store(),
  ).catch(() => undefined);
}

/** Words that nothing lists any more. */
async function dropOthers(templates: readonly ListedTemplate[]): Promise<void> {
  const listed = new Set([LIST, ...templates.map(placeOf)]);
  const kept = await keys<string>(store());
  await delMany(
    kept.filter((place) => !listed.has(place)),
    store(),
  );
}

function placeOf({ key, version, keptAt }: Pick<ListedTemplate, 'key' | 'version' | 'keptAt'>): string {
  return `${key} ${version} ${keptAt} ${DOCUMENT_SCHEMA}`;
}
