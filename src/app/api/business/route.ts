import { NEW_BUSINESS } from '../../../core/contract/settingUp';
import { makeBusiness } from '../../../server/settingUp/makeBusiness';
import { answered } from '../answered';
import { readJson } from '../readJson';
import { startSession } from '../startSession';

/** Makes the first business, or one that somebody was invited to make, and signs its owner in; once. */
export async function POST(request: Request): Promise<Response> {
  return answered(request, async () => {
    const asked = await NEW_BUSINESS.validate(await readJson(request, 10_000), {
      abortEarly: false,
      strict: true,
    });
    const made = await makeBusiness(asked);
    if (made.result === 'known')
      return Response.json(
        { field: 'email', error: 'Somebody signs in with this address here already. Take another.' },
        { status: 409 },
      );
    if (made.result === 'closed')
      return Response.json(
        {
          error: asked.invited
            ? 'This invitation was used, or is too old. Ask for another.'
            : 'There is a business here by now. Sign in, or ask its owner for an invitation.',
        },
        { status: 409 },
      );
    await startSession(made.session);
    return Response.json({}, { status: 201 });
  });
}
