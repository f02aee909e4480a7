import { HOLD_DAYS } from '../../../../../core/contract/freeDays';
import { holdDays } from '../../../../../server/letters/holdDays';
import { idFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';
import { Refused } from '../../../refused';

type Context = { params: Promise<{ id: string }> };

/** Lets the days that a letter offers go, or holds them again. */
export async function PATCH(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const id = idFrom((await params).id);
    const { held } = await HOLD_DAYS.validate(await readJson(request, 100), { strict: true });
    if (id === undefined || !(await holdDays(member, id, held)))
      throw new Refused('There is no such letter that offers days.', 404);
    return Response.json({});
  });
}
