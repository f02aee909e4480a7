import { letterFile } from '../../../../server/letters/alongChoices';
import { idFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { NONE } from '../../changedFile';
import { download } from '../../download';

/** A file that was brought in for a letter. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  return asMember(request, async (member) =>
    download(await letterFile(member, idFrom((await params).id) ?? NONE), 'There is no such file.'),
  );
}
