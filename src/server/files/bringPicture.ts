import { createHash } from 'node:crypto';
import type { Crop, PictureAnswer } from '../../core/contract/pictures';
import { keepFile } from '../../data/repositories/files/files';
import { picturesOfBusiness } from '../../data/repositories/files/pictures';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { noRoomFor } from './room';
import { scaleInTurn } from './scaleInTurn';
import { NoPicture, type ScaledPicture } from './scalePicture';

/** Makes a picture ready for letters and keeps it among the business's files; the same one is kept once. */
export async function bringPicture(
  member: CurrentMember,
  content: Uint8Array,
  crop?: Crop,
): Promise<PictureAnswer> {
  try {
    const picture = await scaleInTurn(content, crop ? { crop } : {});
    const error = await noRoomFor(member, picture.content.length);
    if (error) return { result: 'wrong', error };
    const { width, height, note } = picture;
    return {
      result: 'done',
      sha256: await keep(member, picture),
      width,
      height,
      ...(note === undefined ? {} : { note }),
    };
  } catch (error) {
    if (error instanceof NoPicture) return { result: 'wrong', error: error.message };
    throw error;
  }
}

const keep = forMember(async ({ business_id }: CurrentMember, { content, type }: ScaledPicture) => {
  const sha256 = createHash('sha256').update(content).digest('hex');
  await keepFile(connection(), business_id, { sha256, media_type: type, content, in_words: true });
  return sha256;
});

/** Cuts the sides of a picture of the business: another one, beside the one it was. */
export async function cropPicture(member: CurrentMember, sha256: string, crop: Crop): Promise<PictureAnswer> {
  const found = await kept(member, sha256);
  if (!found) return { result: 'gone', error: 'This picture is no longer there.' };
  return bringPicture(member, found.content, crop);
}

const kept = forMember(async ({ business_id }: CurrentMember, sha256: string) =>
  (await picturesOfBusiness(connection(), business_id, [sha256])).get(sha256),
);
