import { RIGHTS } from '../../../../../core/contract/rights';
import { setSharedRight } from '../../../../../server/templates/sharedRights';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';

type Context = { params: Promise<{ key: string }> };

/** Says whether a member may change what everyone writes with; an owner says so. */
export async function PUT(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { changesShared } = await RIGHTS.validate(await readJson(request, 2_000), { strict: true });
    return (await setSharedRight(member, keyFrom((await params).key), changesShared))
      ? Response.json({})
      : Response.json({ error: 'There is no such member, or it is an owner.' }, { status: 404 });
  });
}
