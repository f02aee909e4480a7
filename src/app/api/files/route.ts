import type { FileAnswer } from '../../../core/contract/files';
import { LARGEST_PICTURE, tooLargePicture } from '../../../core/files/limits';
import { bringOwnFile } from '../../../server/files/ownFiles';
import { asMember } from '../asMember';
import { readBytes } from '../readBytes';
import { Refused } from '../refused';

const STATUS = { done: 200, taken: 409, wrong: 422 } as const satisfies Record<FileAnswer['result'], number>;

/** Brings in a file of the business's own: ?name=Price+list.pdf, and where another has the name ?over=beside or its SHA-256. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = new URL(request.url).searchParams;
    const name = asked.get('name') ?? '';
    if (name.length > 1000) throw new Refused('Its name is too long.', 400);
    const content = await readBytes(request, LARGEST_PICTURE, tooLargePicture);
    const answer = await bringOwnFile(member, name, content, asked.get('over') ?? undefined);
    return Response.json(answer, { status: STATUS[answer.result] });
  });
}
