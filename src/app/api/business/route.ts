import { NEW_BUSINESS } from '../../../core/contract/settingUp';
import { makeFirstBusiness } from '../../../server/settingUp/makeBusiness';
import { answered } from '../answered';
import { readJson } from '../readJson';
import { startSession } from '../startSession';

/** Makes the first business and signs its owner in; once. */
export async function POST(request: Request): Promise<Response> {
  return answered(request, async () => {
    const asked = await NEW_BUSINESS.validate(await readJson(request, 10_000), {
      abortEarly: false,
      strict: true,
    });
    const session = await makeFirstBusiness(asked);
    if (!session)
      return Response.json(
        { error: 'There is a business here by now. Sign in, or ask its owner for an invitation.' },
        { status: 409 },
      );
    await startSession(session);
    return Response.json({}, { status: 201 });
  });
}
