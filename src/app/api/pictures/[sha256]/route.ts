import { CROP } from '../../../../core/contract/pictures';
import { cropPicture } from '../../../../server/files/bringPicture';
import { picture } from '../../../../server/files/picture';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';
import { PICTURE_STATUS } from '../pictureStatus';

type Context = { params: Promise<{ sha256: string }> };

/** A picture of the business. It is named by its content, so it never changes. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const found = await picture(member, (await params).sha256);
    if (!found) return new Response('There is no such picture.', { status: 404 });
    return new Response(new Uint8Array(found.content), {
      headers: {
        'content-type': found.type,
        'content-security-policy': "default-src 'none'; sandbox",
        'x-content-type-options': 'nosniff',
        'cache-control': 'private, max-age=31536000, immutable',
      },
    });
  });
}

/** Cuts the sides of a picture: another one, beside the one it was. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const crop = await CROP.validate(await readJson(request, 2_000), { strict: true });
    const answer = await cropPicture(member, (await params).sha256, crop);
    return Response.json(answer, { status: PICTURE_STATUS[answer.result] });
  });
}
