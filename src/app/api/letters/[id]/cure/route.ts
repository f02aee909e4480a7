import { object, string } from 'yup';
import { CURES, type Cure, type Undo } from '../../../../../core/cures/cures';
import { cureLetter } from '../../../../../server/sending/cureLetter';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';
import { VERSION } from '../../../wholeNumber';

type Context = { params: Promise<{ id: string }> };

const NAMES = Object.keys(CURES) as (Cure | Undo)[];
const CURE = object({
  cure: string<Cure | Undo>().oneOf(NAMES).required(),
  version: VERSION,
}).noUnknown();

/** Does something about a letter that did not go as it should, or takes that back. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { cure, version } = await CURE.validate(await readJson(request, 2_000), { strict: true });
    const cured = await cureLetter(member, (await params).id, cure, version);
    switch (cured.result) {
      case 'done':
        return Response.json({ status: cured.status, version: cured.version });
      case 'changed':
        return Response.json(
          {
            error: `Something else has been done about it: it is “${cured.status}” now. Load this page again.`,
          },
          { status: 409 },
        );
      case 'none':
        return Response.json({ error: 'There is no such letter.' }, { status: 404 });
    }
  });
}
