import { MERGE_CLIENT, UNMERGE_CLIENT, type MergeClient } from '../../../../../core/contract/merging';
import { mergeClient, unmergeClient } from '../../../../../server/clients/mergeClients';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';

type Context = { params: Promise<{ key: string }> };

/** Takes another record of the same client into this one. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const key = keyFrom((await params).key);
    const asked = (await MERGE_CLIENT.validate(await readJson(request, 2_000), {
      strict: true,
    })) as MergeClient;
    return (await mergeClient(member, key, asked))
      ? Response.json({ key })
      : Response.json(
          { error: 'Somebody has changed one of them since you opened this. Look at both again.' },
          { status: 409 },
        );
  });
}

/** Makes two of them again. */
export async function DELETE(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { id } = await UNMERGE_CLIENT.validate(await readJson(request, 200), { strict: true });
    const key = await unmergeClient(member, id);
    return key === undefined
      ? Response.json({ error: 'It is longer than a day ago, or undone already.' }, { status: 404 })
      : Response.json({ key });
  });
}
