import { createHash } from 'node:crypto';
import {
  besideAnother,
  endingOf,
  fileName,
  MOST_ATTACHED,
  renamed,
  tooLargeFile,
  type FileChange,
  type FileChanged,
} from '../../core/contract/files';
import {
  MOST_OF_ONE,
  type FileOwner,
  type RecordFile,
  type RecordFileAnswer,
  type RecordFiles,
} from '../../core/contract/recordFiles';
import { dayLately } from '../../core/describe/dayLately';
import type { KeptFile } from '../../data/repositories/files/files';
import {
  changeRecordFile as change,
  contentOfRecordFile,
  filesOfRecord,
  insertRecordFile,
  namesBeside,
  placeOfFiles,
  type KeptRecordFile,
} from '../../data/repositories/files/recordFiles';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { noRoomFor, roomLeft } from './room';
import { scaleInTurn } from './scaleInTurn';
import { NoPicture } from './scalePicture';
import { typeOfFile } from './typeOfFile';
import { wrongFile } from './wrongFile';

/** A photograph of a piece of work may be looked into; one of these is well under what a letter can have. */
const KEPT = { width: 2400, height: 2400 };
const PREVIEW = { width: 320, height: 320 };

/** The files of a record. Undefined: there is no such record. */
export const recordFiles = forMember(
  async (member: CurrentMember, owner: FileOwner): Promise<RecordFiles | undefined> => {
    const { business_id } = member;
    const place = await placeOfFiles(connection(), business_id, owner);
    if (!place) return undefined;
    const files = await filesOfRecord(connection(), business_id, place, MOST_OF_ONE);
    const shown = await showing(member);
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
  const type = await typeOfFile(content);
  const error = wrongFile(fileName(given), content, type);
  if (error) return { result: 'wrong', error };
  try {
    const isPicture = type?.media_type.startsWith('image/') && type.ending !== 'psd';
    if (!isPicture && content.length > MOST_ATTACHED)
      return { result: 'wrong', error: tooLargeFile(content.length) };
    if (!isPicture)
      return await keep(member, owner, fileName(given), { file: fileOf(content, type?.media_type) });
    const picture = await scaleInTurn(content, { within: KEPT });
    const preview = await scaleInTurn(picture.content, { within: PREVIEW });
    const answer = await keep(member, owner, pictureName(given, picture.type), {
      file: fileOf(picture.content, picture.type),
      preview: fileOf(preview.content, preview.type),
    });
    return answer.result === 'done' && picture.note ? { note: picture.note, ...answer } : answer;
  } catch (failure) {
    if (failure instanceof NoPicture) return { result: 'wrong', error: failure.message };
    throw failure;
  }
}

function fileOf(content: Buffer, media_type = 'application/octet-stream'): KeptFile {
  return { sha256: createHash('sha256').update(content).digest('hex'), media_type, content };
}

/** A picture's name says what it has become. */
function pictureName(given: string, type: 'image/png' | 'image/jpeg'): string {
  const name = fileName(given);
  const ending = endingOf(name);
  const wanted = type === 'image/png' ? 'png' : 'jpg';
  if (ending === wanted || (ending === 'jpeg' && wanted === 'jpg')) return name;
  return fileName(`${ending ? name.slice(0, -ending.length - 1) : name}.${wanted}`);
}

const keep = forMember(
  async (
    member: CurrentMember,
    owner: FileOwner,
    name: string,
    kept: { file: KeptFile; preview?: KeptFile },
  ): Promise<RecordFileAnswer> => {
    const { business_id } = member;
    const place = await placeOfFiles(connection(), business_id, owner);
    if (!place) return { result: 'gone', error: 'This record is no longer there.' };
    const full = await noRoomFor(member, kept.file.content.length);
    if (full) return { result: 'wrong', error: full };
    const at = new Date(now());
    const inserted = await insertRecordFile(
      connection(),
      business_id,
      place,
      { ...kept, at },
      (taken) => freeName(name, taken),
      MOST_OF_ONE,
    );
    if (!inserted)
      return {
        result: 'wrong',
        error: `There are ${MOST_OF_ONE} files already, and no more can be kept here.`,
      };
    const file = inserted.kept;
    const note = inserted.isNew ? {} : { note: `It is there already, as “${file.name}”.` };
    return {
      result: 'done',
      file: (await showing(member))(file),
      left: await roomLeft(member),
      ...note,
    };
  },
);

/** A camera calls many pictures the same. */
function freeName(name: string, taken: readonly string[]): string {
  const names = new Set(taken.map((one) => one.toLowerCase()));
  let free = name;
  for (let number = 2; names.has(free.toLowerCase()); number++) free = besideAnother(name, number);
  return free;
}

async function showing({ business_id }: CurrentMember): Promise<(file: KeptRecordFile) => RecordFile> {
  const day = dayLately(await businessBook(business_id));
  return ({ id, name, sha256, size, preview, brought_at }) => ({
    id,
    name,
    size,
    day: day(brought_at.getTime()),
    ...(preview === null ? {} : { picture: sha256, preview }),
  });
}

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
