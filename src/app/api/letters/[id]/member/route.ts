import { WHO_SEES_TO_IT } from '../../../../../core/contract/letters';
import { giveToMember } from '../../../../../server/incoming/giveToMember';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';

type Context = { params: Promise<{ id: string }> };

/** Gives a message that came in to a member, who sees to it. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (me) => {
    const { member, version } = await WHO_SEES_TO_IT.validate(await readJson(request, 2_000), {
      strict: true,
    });
    return (await giveToMember(me, (await params).id, { member, version }))
      ? Response.json({})
      : Response.json(
          { error: 'Somebody else has changed it, or it is no longer there. Load this page again.' },
          { status: 409 },
        );
  });
}
