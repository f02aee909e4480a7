import { STEP } from '../../../../core/contract/settingUp';
import { noteStep } from '../../../../server/settingUp/setUp';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

/** Notes a step of setting up. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { step, as } = await STEP.validate(await readJson(request, 1_000), { strict: true });
    await noteStep(member, step, as);
    return Response.json({});
  });
}
