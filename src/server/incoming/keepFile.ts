import type { FileOwner, RecordFileAnswer } from '../../core/contract/recordFiles';
import { bringRecordFile } from '../files/recordFiles';
import { attachment } from '../letters/attachment';
import { oneLetter } from '../letters/oneLetter';
import type { CurrentMember } from '../signIn/currentMember';

/** Keeps a file that came with a message with the job that it is about, or with its client. */
export async function keepFile(
  member: CurrentMember,
  id: string,
  position: string,
): Promise<RecordFileAnswer> {
  const [letter, file] = [await oneLetter(member, id), await attachment(member, id, position)];
  if (!letter || !file || letter.direction === 'out')
    return { result: 'gone', error: 'There is no such file.' };
  const owner = ownerOf(letter);
  if (!owner) return { result: 'wrong', error: 'It is known of nobody yet whose it is.' };
  return bringRecordFile(member, owner, file.name, file.content);
}

function ownerOf({
  about,
  client_key,
}: NonNullable<Awaited<ReturnType<typeof oneLetter>>>): FileOwner | undefined {
  if (about?.kind === 'project' || about?.kind === 'booking') return { kind: about.kind, key: about.key };
  return client_key ? { kind: 'client', key: client_key } : undefined;
}
