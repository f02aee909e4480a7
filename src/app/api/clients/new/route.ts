import { newClientFacts } from '../../../../core/contract/records/client';
import { clientChoices } from '../../../../server/clients/clientChoices';
import { makeClient } from '../../../../server/clients/keepClient';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

/** Writes a client down with all that is known; asked for again under the same id, it is there. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { own } = await clientChoices(member);
    const { id, ...facts } = await newClientFacts(own).validate(await readJson(request, 500_000), {
      abortEarly: false,
      strict: true,
    });
    return Response.json(
      { result: 'kept', version: 1, key: await makeClient(member, id, facts) },
      { status: 201 },
    );
  });
}
