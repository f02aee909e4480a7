import { UniqueConstraintError } from 'sequelize';
import type { FileAnswer, FileChange, FileChanged, ListedFile, OwnFile } from '../../core/contract/files';
import { besideAnother, renamed } from '../../core/files/fileNames';
import { MOST_FILES } from '../../core/files/limits';
import { dayLately } from '../../core/describe/dayLately';
import { filesAlong } from '../../core/writing/goesAlong';
import {
  contentOfOwnFile,
  insertOwnFile,
  ownFileCalled,
  ownFilesOf,
  renameOwnFile,
  replaceOwnFile,
  setOwnFileRemoved,
  type KeptOwnFile,
} from '../../data/repositories/files/ownFiles';
import type { ReadyFile } from '../../data/repositories/files/files';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { anotherCalled, namedOnce } from '../templates/named';
import { standingTemplates } from '../templates/standingTemplates';
import { madeReady, type MadeReady } from './madeReady';
import { noRoomFor } from './room';
import { showingFiles } from './showingFiles';

/** How many names are tried for a file that stands beside others. */
const MOST_BESIDE = 50;

/**
 * Brings in a file of the business's own, which templates have go along by its name; the same one again is kept once.
 * @param over where another has the name: this one stands 'beside' it, or in the place of the one with this SHA-256
 */
export async function bringOwnFile(
  member: CurrentMember,
  given: string,
  content: Buffer,
  over?: string,
): Promise<FileAnswer> {
  const ready = await madeReady(given, content);
  if ('error' in ready) return { result: 'wrong', ...ready };
  const answer = await bringReady(member, ready, over);
  return answer.result === 'done' && ready.note ? { ...answer, note: ready.note } : answer;
}

const bringReady = forMember(
  async (member: CurrentMember, ready: MadeReady, over?: string): Promise<FileAnswer> => {
    const error = await noRoomFor(member, ready.file.content.length);
    if (error) return { result: 'wrong', error };
    const { name, file } = ready;
    const kept = await keepAs(member, name, ready);
    if (!('another' in kept)) return kept;
    const { another } = kept;
    if (over === 'beside')
      for (let number = 2; number <= MOST_BESIDE; number++) {
        const beside = await keepAs(member, besideAnother(name, number), ready);
        if (!('another' in beside)) return beside;
      }
    if (over === another.sha256) {
      mustChangeShared(member);
      if (await replaceOwnFile(connection(), member.business_id, another, ready, new Date(now())))
        return { result: 'done', name: another.name, size: file.content.length };
    }
    return taken(member, another);
  },
);

/** Keeps a file under a name, unless another file has it. */
async function keepAs(
  { business_id }: CurrentMember,
  name: string,
  ready: ReadyFile,
): Promise<FileAnswer | { another: KeptOwnFile }> {
  const done: FileAnswer = { result: 'done', name, size: ready.file.content.length };
  const found = await ownFileCalled(connection(), business_id, name);
  if (found) return found.sha256 === ready.file.sha256 ? { ...done, name: found.name } : { another: found };
  try {
    if (await insertOwnFile(connection(), business_id, { name, at: new Date(now()) }, ready, MOST_FILES))
      return done;
    return { result: 'wrong', error: `There are ${MOST_FILES} files already, and no more can be kept.` };
  } catch (failure) {
    if (!(failure instanceof UniqueConstraintError)) throw failure;
    // Somebody else was first with the name.
    return { another: (await ownFileCalled(connection(), business_id, name))! };
  }
}

async function taken(
  { business_id }: CurrentMember,
  { name, sha256, brought_at }: KeptOwnFile,
): Promise<FileAnswer> {
  const day = dayLately(await businessBook(business_id))(brought_at.getTime());
  return { result: 'taken', sha256, error: `There is another “${name}”, brought in ${day}.` };
}

/** What a file of the business's own holds. Undefined: there is none of that name. */
export const ownFile = forMember(({ business_id }: CurrentMember, name: string) =>
  contentOfOwnFile(connection(), business_id, name),
);

/** The business's own files, with the templates that have each go along, of those that the member sees. */
export const listOwnFiles = forMember(async (member: CurrentMember): Promise<ListedFile[]> => {
  const { business_id } = member;
  const files = await ownFilesOf(connection(), business_id);
  const shown = showingFiles(await businessBook(business_id));
  const along = new Map<string, string[]>();
  for (const { head } of (await standingTemplates(member)).map(({ listed }) => listed))
    for (const { name } of filesAlong(head, files.map(found)))
      along.set(name, [...(along.get(name) ?? []), head.name]);
  return files.map((file) => ({
    ...found(file),
    ...shown(file),
    templates: along.get(file.name) ?? [],
  }));
});

function found({ name, size, former_names: formerly }: KeptOwnFile): OwnFile {
  return { name, size, formerly };
}

/** Calls a file of the business's own otherwise, removes it or puts it back. @throws NotAllowed */
export const changeOwnFile = forMember(
  async (member: CurrentMember, id: string, { name: given, removed }: FileChange): Promise<FileChanged> => {
    mustChangeShared(member);
    const { business_id } = member;
    const one = (await ownFilesOf(connection(), business_id)).find((file) => file.id === id);
    const gone = { result: 'gone', error: 'This file is no longer there.' } as const;
    if (!one && removed !== false) return gone;
    const name = renamed(given ?? '', one?.name ?? '');
    if (removed === undefined && !name)
      return { result: 'wrong', error: 'Write what it is called.', field: 'name' };
    const another =
      removed === undefined
        ? anotherCalled('file', name)
        : 'Another file has its name by now. Call that one something else first.';
    return namedOnce(another, async () => {
      const kept =
        removed === undefined
          ? await renameOwnFile(connection(), business_id, id, name)
          : await setOwnFileRemoved(connection(), business_id, id, removed ? new Date(now()) : null);
      return kept === undefined ? gone : { result: 'done', name: kept };
    });
  },
);
