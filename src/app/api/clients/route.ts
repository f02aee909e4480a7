import { NEW_CLIENTS } from '../../../core/contract/records/newClients';
import { makeClients } from '../../../server/clients/makeClients';
import { asMember } from '../asMember';
import { readJson } from '../readJson';

/** Writes clients down. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { clients } = await NEW_CLIENTS.validate(await readJson(request, 200_000), {
      abortEarly: false,
      strict: true,
    });
    return Response.json(await makeClients(member, clients), { status: 201 });
  });
}
