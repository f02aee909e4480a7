import { BRING_BACK } from '../../../../../../core/contract/versions';
import { bringBack, compareWithStanding } from '../../../../../../server/templates/versions';
import { keyFrom } from '../../../../../keyFrom';
import { asMember } from '../../../../asMember';
import { readJson } from '../../../../readJson';
import { KEPT_STATUS } from '../../keptStatus';

type Context = { params: Promise<{ key: string; version: string }> };

/** What has changed since a version. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { key, version } = await params;
    const compared = await compareWithStanding(member, keyFrom(key), numberOf(version));
    return compared
      ? Response.json(compared)
      : Response.json({ error: 'This version is no longer there.' }, { status: 404 });
  });
}

/** Brings a version back as the next one. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { key, version } = await params;
    const { standing } = await BRING_BACK.validate(await readJson(request, 1_000), { strict: true });
    const kept = await bringBack(member, keyFrom(key), numberOf(version), standing);
    return Response.json(kept, { status: KEPT_STATUS[kept.result] });
  });
}

/** A version that cannot be one is one that is not there. */
function numberOf(version: string): number {
  return /^[1-9]\d{0,8}$/.test(version) ? Number(version) : 0;
}
