import type { AlongAnswer, AlongChoices } from '../../core/contract/along';
import { MOST_OF_ONE } from '../../core/files/limits';
import { dayAt } from '../../core/dates/zone';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import type { StartingPoint } from '../../core/records/which/situation';
import type { RecordBook } from '../../core/records/recordBook';
import { contentOfLetterFile, keepLetterFile } from '../../data/repositories/files/letterFiles';
import { ownFilesOf } from '../../data/repositories/files/ownFiles';
import { filesOfClient, type ClientFile } from '../../data/repositories/files/recordFiles';
import { startOfLetter } from '../../data/repositories/startingRecords';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { madeReady, type MadeReady } from '../files/madeReady';
import { noRoomFor, roomLeft } from '../files/room';
import { showingFiles } from '../files/showingFiles';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** The files that could go along with a letter: those of its client, by what of theirs they belong to, and the business's own. */
export const alongChoices = forMember(
  async (member: CurrentMember, start: StartingPoint): Promise<AlongChoices | undefined> => {
    const { business_id } = member;
    const database = connection();
    const record = await startOfLetter(database, business_id, start);
    if (!record) return undefined;
    const { client_id } = record;
    const book = await businessBook(business_id);
    const [theirs, own] = await Promise.all([
      client_id === null ? [] : filesOfClient(database, business_id, client_id, MOST_OF_ONE),
      ownFilesOf(database, business_id),
    ]);
    const shown = showingFiles(book);
    const byOwner = new Map<string, ClientFile[]>();
    for (const file of theirs) {
      const title = ownerOf(file, book);
      byOwner.set(title, [...(byOwner.get(title) ?? []), file]);
    }
    return {
      groups: [
        ...[...byOwner].map(([title, files]) => ({
          title,
          from: 'record' as const,
          files: files.map(shown),
        })),
        ...(own.length ? [{ title: 'The business’s own', from: 'own' as const, files: own.map(shown) }] : []),
      ],
      left: await roomLeft(member),
    };
  },
);

/** “tuning visit, 3 March” */
function ownerOf({ of, starts_at }: ClientFile, book: RecordBook): string {
  if (!starts_at) return of;
  return `${of}, ${formatsOf(book).date(dayAt(starts_at.getTime(), book.zone), 'day and month')}`;
}

/** Brings in a file for one letter: it is told by its content, a picture is scaled and rid of what its camera wrote into it. */
export async function bringLetterFile(
  member: CurrentMember,
  given: string,
  content: Buffer,
): Promise<AlongAnswer> {
  const ready = await madeReady(given, content);
  return 'error' in ready ? { result: 'wrong', ...ready } : keep(member, ready);
}

const keep = forMember(async (member: CurrentMember, { note, ...ready }: MadeReady): Promise<AlongAnswer> => {
  const { name, file } = ready;
  const error = await noRoomFor(member, file.content.length);
  if (error) return { result: 'wrong', error };
  const id = await keepLetterFile(connection(), member, { ...ready, at: new Date(now()) });
  return {
    result: 'done',
    file: { from: 'letter', id, name, size: file.content.length },
    ...(note === undefined ? {} : { note }),
  };
});

/** What a file that was brought in for a letter holds. Undefined: there is none of that id. */
export const letterFile = forMember(({ business_id }: CurrentMember, id: string) =>
  contentOfLetterFile(connection(), business_id, id),
);
