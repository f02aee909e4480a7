import { CURE, type CureAnswer } from '../../../../../core/contract/cures';
import { cureLetter, type Cured } from '../../../../../server/sending/cureLetter';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';

type Context = { params: Promise<{ id: string }> };

/** Does something about a letter that did not go as it should, or takes that back. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { cure, version } = await CURE.validate(await readJson(request, 2_000), { strict: true });
    const cured = await cureLetter(member, (await params).id, cure, version);
    const [answer, status] = answerTo(cured);
    return Response.json(answer, { status });
  });
}

function answerTo(cured: Cured): [CureAnswer, status: number] {
  switch (cured.result) {
    case 'done':
      return [{ status: cured.status, version: cured.version }, 200];
    case 'changed': {
      const error = `Something else has been done about it: it is “${cured.status}” now. Load this page again.`;
      return [{ error }, 409];
    }
    case 'none':
      return [{ error: 'There is no such letter.' }, 404];
  }
}
