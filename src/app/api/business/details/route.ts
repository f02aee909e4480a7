import { OWN_DETAILS } from '../../../../core/contract/records/ownDetails';
import { keepOwnDetails } from '../../../../server/settings/ownDetails';
import { asMember } from '../../asMember';
import { kept } from '../../kept';
import { readJson } from '../../readJson';

/** Keeps what the business says of itself. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const details = await OWN_DETAILS.validate(await readJson(request, 60_000), {
      abortEarly: false,
      strict: true,
    });
    return kept(await keepOwnDetails(member, details));
  });
}
