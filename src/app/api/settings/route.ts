import { number, object } from 'yup';
import { changeSettings } from '../../../server/settings';
import { asMember } from '../asMember';
import { readJson } from '../readJson';

const SETTINGS = object({
  reminderSpacing: number().integer().min(1).max(90),
  lateAfter: number().integer().min(1).max(240),
  idleDays: number().integer().min(1).max(30),
}).noUnknown();

/** Settles numbers that hold for the business: those that are given. */
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
