import { NEW_BRINGING } from '../../../core/contract/bringing';
import { beginBringing } from '../../../server/bringing/bringing';
import { asMember } from '../asMember';
import { readJson } from '../readJson';

/** Begins to take a file in; asked for again under the same id, it is the same. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = await NEW_BRINGING.validate(await readJson(request, 500_000), {
      abortEarly: false,
      strict: true,
    });
    await beginBringing(member, asked);
    return Response.json({}, { status: 201 });
  });
}
