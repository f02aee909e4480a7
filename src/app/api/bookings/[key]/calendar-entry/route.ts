import { visitPaper } from '../../../../../server/papers/visitPaper';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { download } from '../../../download';

type Context = { params: Promise<{ key: string }> };

/** A visit as an entry for its client's calendar. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) =>
    download(await visitPaper(member, keyFrom((await params).key)), 'There is no such visit.'),
  );
}
