import { BRINGING_ACT } from '../../../../core/contract/bringing';
import { bringIn, bringingState, takeOut } from '../../../../server/bringing/bringing';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';
import { idFrom } from '../../../keyFrom';
import { NO_SUCH_FILE } from '../bringingRoutes';

type Context = { params: Promise<{ id: string }> };

/** How far a file has come. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const id = idFrom((await params).id);
    const state = id && (await bringingState(member, id));
    return state ? Response.json(state) : NO_SUCH_FILE();
  });
}

/** Lets a file come in that was given, or what came in of it go out again. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { act } = await BRINGING_ACT.validate(await readJson(request, 1_000), { strict: true });
    const id = idFrom((await params).id);
    const done = id && (await (act === 'bring in' ? bringIn : takeOut)(member, id));
    if (!done) return NO_SUCH_FILE();
    return 'stays' in done ? Response.json({ error: done.stays }, { status: 409 }) : Response.json(done);
  });
}
