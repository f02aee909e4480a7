import { createHash } from 'node:crypto';
import { UniqueConstraintError } from 'sequelize';
import { besideAnother, fileName, MOST_FILES, type FileAnswer } from '../../core/contract/files';
import { dayLately } from '../../core/describe/dayLately';
import {
  contentOfOwnFile,
  insertOwnFile,
  ownFileCalled,
  replaceOwnFile,
  type KeptOwnFile,
} from '../../data/repositories/ownFiles';
import type { KeptFile } from '../../data/repositories/files';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { wrongFile } from './wrongFile';

/** How many names are tried for a file that stands beside others. */
const MOST_BESIDE = 50;

/**
 * Brings in a file of the business's own, which templates have go along by its name; the same one again is kept once.
 * @param over where another has the name: this one stands 'beside' it, or in the place of the one with this SHA-256
 */
export const bringOwnFile = forMember(
  async (member: CurrentMember, given: string, content: Buffer, over?: string): Promise<FileAnswer> => {
    const name = fileName(given);
    const error = wrongFile(name, content);
    if (error) return { result: 'wrong', error };
    const sha256 = createHash('sha256').update(content).digest('hex');
    const file = { sha256, media_type: 'application/octet-stream', content };
    const kept = await keepAs(member, name, file);
    if (!('another' in kept)) return kept;
    const { another } = kept;
    if (over === 'beside')
      for (let number = 2; number <= MOST_BESIDE; number++) {
        const beside = await keepAs(member, besideAnother(name, number), file);
        if (!('another' in beside)) return beside;
      }
    if (over === another.sha256) {
      mustChangeShared(member);
      if (await replaceOwnFile(connection(), member.business_id, another, file, new Date(now())))
        return { result: 'done', name: another.name, size: content.length };
    }
    return taken(member, another);
  },
);

/** Keeps a file under a name, unless another file has it. */
async function keepAs(
  { business_id }: CurrentMember,
  name: string,
  file: KeptFile,
): Promise<FileAnswer | { another: KeptOwnFile }> {
  const done: FileAnswer = { result: 'done', name, size: file.content.length };
  const found = await ownFileCalled(connection(), business_id, name);
  if (found) return found.sha256 === file.sha256 ? { ...done, name: found.name } : { another: found };
  try {
    if (await insertOwnFile(connection(), business_id, { name, at: new Date(now()) }, file, MOST_FILES))
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
