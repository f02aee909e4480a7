import { picture } from '../../../../server/records/picture';
import { asMember } from '../../asMember';

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
