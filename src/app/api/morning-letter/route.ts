import { MORNING } from '../../../core/contract/telling';
import { settleMorning } from '../../../server/telling/morningSetting';
import { asMember } from '../asMember';
import { readJson } from '../readJson';

/** Settles whether, and at which hour, a member gets a letter each morning with what waits. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { hour } = await MORNING.validate(await readJson(request, 200), { strict: true });
    await settleMorning(member, hour);
    return Response.json({});
  });
}
