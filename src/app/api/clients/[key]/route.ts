import { clientFacts } from '../../../../core/contract/records/client';
import { clientChoices } from '../../../../server/clients/clientChoices';
import { keepClient } from '../../../../server/clients/keepClient';
import { keyFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { kept } from '../../kept';
import { readJson } from '../../readJson';

type Context = { params: Promise<{ key: string }> };

/** Keeps what is known of a client. */
export async function PUT(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { own } = await clientChoices(member);
    const facts = await clientFacts(own).validate(await readJson(request, 500_000), {
      abortEarly: false,
      strict: true,
    });
    return kept(await keepClient(member, keyFrom((await params).key), facts));
  });
}
