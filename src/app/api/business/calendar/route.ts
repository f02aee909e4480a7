import { FEED_ACT } from '../../../../core/contract/calendarFeed';
import { changeCalendarFeed, ownCalendarFeed } from '../../../../server/calendar/calendarFeed';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

/** Gives whoever asks another address of the calendar, or takes theirs away. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { act } = await FEED_ACT.validate(await readJson(request, 1_000), { strict: true });
    await changeCalendarFeed(member, act === 'give');
    return Response.json((await ownCalendarFeed(member)) ?? {});
  });
}
