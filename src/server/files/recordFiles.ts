import type { FileChange, FileChanged } from '../../core/contract/files';
import { freeName, renamed } from '../../core/files/fileNames';
import type { FileOwner, RecordFileAnswer, RecordFiles } from '../../core/contract/recordFiles';
import { MOST_OF_ONE } from '../../core/files/limits';
import type { RecordBook } from '../../core/records/recordBook';
import {
  changeRecordFile as change,
  contentOfRecordFile,
  filesOfRecord,
  insertRecordFile,
  namesBeside,
  placeOfFiles,
} from '../../data/repositories/files/recordFiles';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { madeReady, type MadeReady } from './madeReady';
import { noRoomFor, roomLeft } from './room';
import { showingFiles } from './showingFiles';

/** The files of a record. Undefined: there is no such record. @param known the business's book, where it was read before */
export const recordFiles = forMember(
  async (member: CurrentMember, owner: FileOwner, known?: RecordBook): Promise<RecordFiles | undefined> => {
    const { business_id } = member;
    const place = await placeOfFiles(connection(), business_id, owner);
    if (!place) return undefined;
    const files = await filesOfRecord(connection(), business_id, place, MOST_OF_ONE);
    const shown = showingFiles(known ?? (await businessBook(business_id)));
    return { owner, files: files.map(shown), left: await roomLeft(member) };
  },
);

/**
 * Brings in a file of a record: it is told by its content, a picture is turned, scaled and rid of what its camera wrote into it. The
 * same one is there once; another of its name stands beside it.
 */
export async function bringRecordFile(
  member: CurrentMember,
  owner: FileOwner,
  given: string,
  content: Buffer,
): Promise<RecordFileAnswer> {
  const ready = await madeReady(given, content);
  return 'error' in ready ? { result: 'wrong', ...ready } : keep(member, owner, ready);
}

const keep = forMember(
  async (
    member: CurrentMember,
    owner: FileOwner,
    { name, note: made, ...ready }: MadeReady,
  ): Promise<RecordFileAnswer> => {
    const { business_id } = member;
    const place = await placeOfFiles(connection(), business_id, owner);
    if (!place) return { result: 'gone', error: 'This record is no longer there.' };
    const full = await noRoomFor(member, ready.file.content.length);
    if (full) return { result: 'wrong', error: full };
    const at = new Date(now());
    const inserted = await insertRecordFile(
      connection(),
      business_id,
      place,
      { ...ready, at },
      // A camera calls many pictures the same.
      (taken) => freeName(name, taken),
      MOST_OF_ONE,
    );
    if (!inserted)
      return {
        result: 'wrong',
        error: `There are ${MOST_OF_ONE} files already, and no more can be kept here.`,
      };
    const file = inserted.kept;
    const note = inserted.isNew ? made : `It is there already, as “${file.name}”.`;
    return {
      result: 'done',
      file: showingFiles(await businessBook(business_id))(file),
      left: await roomLeft(member),
      ...(note === undefined ? {} : { note }),
    };
  },
);

/** What a file of a record holds. Undefined: there is none of that id. */
export const recordFile = forMember(({ business_id }: CurrentMember, id: string) =>
  contentOfRecordFile(connection(), business_id, id),
);

/** Calls a file otherwise, removes it or puts it back. */
export const changeRecordFile = forMember(
  async ({ business_id }: CurrentMember, id: string, { name, removed }: FileChange): Promise<FileChanged> => {
    const gone = { result: 'gone', error: 'This file is no longer there.' } as const;
    if (removed !== undefined) {
      const kept = await change(connection(), business_id, id, {
        removed_at: removed ? new Date(now()) : null,
      });
      return kept === undefined ? gone : { result: 'done', name: kept };
    }
    const before = await namesBeside(connection(), business_id, id);
    if (!before) return gone;
    const wanted = renamed(name ?? '', before.name);
    if (!wanted) return { result: 'wrong', error: 'Write what it is called.', field: 'name' };
    const kept = await change(connection(), business_id, id, { name: freeName(wanted, before.others) });
    return kept === undefined ? gone : { result: 'done', name: kept };
  },
);
