import { LARGEST_PICTURE, tooLargePicture } from '../../../core/files/limits';
import { bringPicture } from '../../../server/files/bringPicture';
import { asMember } from '../asMember';
import { readBytes } from '../readBytes';
import { PICTURE_STATUS } from './pictureStatus';

/** Brings in a picture: its bytes are the request's, and are taken for what they are and not for what they say they are. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const answer = await bringPicture(member, await readBytes(request, LARGEST_PICTURE, tooLargePicture));
    return Response.json(answer, { status: PICTURE_STATUS[answer.result] });
  });
}
