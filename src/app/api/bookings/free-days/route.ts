import { DAYS_ASKED } from '../../../../core/contract/freeDays';
import { freeDays } from '../../../../server/records/freeDays';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

/** Whether days that somebody asks for are free, and which near them are where that is asked. Nothing is kept. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { days, ...by } = await DAYS_ASKED.validate(await readJson(request, 2_000), { strict: true });
    return Response.json(await freeDays(member, days, by));
  });
}
