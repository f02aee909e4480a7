import { invoicePaper } from '../../../../../server/papers/invoicePaper';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { download } from '../../../download';

type Context = { params: Promise<{ key: string }> };

/** An invoice as a PDF. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) =>
    download(await invoicePaper(member, keyFrom((await params).key)), 'There is no such invoice.'),
  );
}
