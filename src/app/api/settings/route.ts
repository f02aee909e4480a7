import { SETTINGS } from '../../../core/contract/settings';
import { changeSettings } from '../../../server/settings';
import { asMember } from '../asMember';
import { readJson } from '../readJson';

/** Settles what holds for the business: those that are given. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const given = await SETTINGS.validate(await readJson(request, 2_000), { strict: true });
    const settings = Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined));
    if (Object.keys(settings).length === 0)
      return Response.json({ error: 'Nothing was given to settle.' }, { status: 400 });
    await changeSettings(member, settings);
    return Response.json({});
  });
}
