import { MATCHES, MOST_OF_ROWS } from '../../../../core/contract/bringing';
import { matchesOf } from '../../../../server/bringing/bringing';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

/** Tells of rows that are to come in whose they are, and what of them is there. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = await MATCHES.validate(await readJson(request, MOST_OF_ROWS), { strict: true });
    return Response.json({ matches: await matchesOf(member, asked) });
  });
}
