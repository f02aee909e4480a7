import { ownFile } from '../../../../server/files/ownFiles';
import { keyFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { download } from '../../download';

/** A file of the business's own, to be kept on the device and looked at there. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ name: string }> },
): Promise<Response> {
  return asMember(request, async (member) =>
    download(await ownFile(member, keyFrom((await params).name)), 'There is no such file.'),
  );
}
