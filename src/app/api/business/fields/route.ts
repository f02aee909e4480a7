import { OWN_FIELDS } from '../../../../core/contract/records/ownFields';
import { keepFields } from '../../../../server/settings/ownFields';
import { asMember } from '../../asMember';
import { kept } from '../../kept';
import { readJson } from '../../readJson';

/** Keeps the fields that the business has of its own. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = await OWN_FIELDS.validate(await readJson(request, 200_000), {
      abortEarly: false,
      strict: true,
    });
    return kept(await keepFields(member, asked));
  });
}
