import { findAnything } from '../../../server/palette/findAnything';
import { asMember } from '../asMember';

/** What can be gone to or begun by some words: ?find=write oda reminder */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const find = new URL(request.url).searchParams.get('find') ?? '';
    return Response.json(await findAnything(member, find.slice(0, 200)));
  });
}
