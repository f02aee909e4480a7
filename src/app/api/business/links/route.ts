import { OWN_LINKS } from '../../../../core/contract/records/ownFields';
import { keepLinks } from '../../../../server/settings/ownFields';
import { asMember } from '../../asMember';
import { kept } from '../../kept';
import { readJson } from '../../readJson';

/** Keeps the links that are kept once. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = await OWN_LINKS.validate(await readJson(request, 200_000), {
      abortEarly: false,
      strict: true,
    });
    return kept(await keepLinks(member, asked));
  });
}
