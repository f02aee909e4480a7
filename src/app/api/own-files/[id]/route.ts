import { changeOwnFile } from '../../../../server/files/ownFiles';
import { idFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { changedFile, NONE } from '../../changedFile';

/** Calls a file of the business's own otherwise, removes it or puts it back. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  return asMember(request, async (member) =>
    changedFile(request, async (asked) => changeOwnFile(member, idFrom((await params).id) ?? NONE, asked)),
  );
}
