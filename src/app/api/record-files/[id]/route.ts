import { changeRecordFile, recordFile } from '../../../../server/files/recordFiles';
import { idFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { changedFile, NONE } from '../../changedFile';
import { download } from '../../download';

type Context = { params: Promise<{ id: string }> };

/** A file of a record, to be kept on the device and looked at there. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) =>
    download(await recordFile(member, idFrom((await params).id) ?? NONE), 'There is no such file.'),
  );
}

/** Calls it otherwise, removes it or puts it back. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) =>
    changedFile(request, async (asked) => changeRecordFile(member, idFrom((await params).id) ?? NONE, asked)),
  );
}
