import { HEADS } from '../../../../core/contract/bringing';
import { rememberedColumns } from '../../../../server/bringing/bringing';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

/** Tells what the columns of a table with such heads were taken for the last time that one came in. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { heads } = await HEADS.validate(await readJson(request, 300_000), { strict: true });
    return Response.json(await rememberedColumns(member, heads));
  });
}
