import { BROUGHT_AWAY, TO_BRING } from '../../../../core/contract/bringTemplates';
import { bringAway, bringTemplates } from '../../../../server/adopting/bringTemplates';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

/** Brings templates in that were read from files. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = await TO_BRING.validate(await readJson(request, 30_000_000), { strict: true });
    const answer = await bringTemplates(member, asked);
    return Response.json(answer, { status: answer.result === 'done' ? 200 : 422 });
  });
}

/** Puts those that came in in the trash again. */
export async function DELETE(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { keys } = await BROUGHT_AWAY.validate(await readJson(request, 60_000), { strict: true });
    await bringAway(member, keys);
    return Response.json({});
  });
}
