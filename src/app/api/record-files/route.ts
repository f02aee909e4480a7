import { FILE_OWNERS, type RecordFileAnswer } from '../../../core/contract/recordFiles';
import { LARGEST_PICTURE, tooLargePicture } from '../../../core/files/limits';
import { bringRecordFile } from '../../../server/files/recordFiles';
import { asMember } from '../asMember';
import { readBytes } from '../readBytes';
import { Refused } from '../refused';

const STATUS = { done: 200, wrong: 422, gone: 404 } as const satisfies Record<
  RecordFileAnswer['result'],
  number
>;

/** Brings in a file of a record: ?of=booking&key=b-hartigan&name=Pedals.jpg, of a thing with its client's key, too: &client=hartigan. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = new URL(request.url).searchParams;
    const [of, key = '', client = '', name = ''] = ['of', 'key', 'client', 'name'].map(
      (one) => asked.get(one) ?? '',
    );
    const kind = FILE_OWNERS.find((one) => one === of);
    if (!kind || key.length > 200 || client.length > 200 || `${key}${client}`.includes('\0'))
      throw new Refused('There are no such records.', 404);
    if (name.length > 1000) throw new Refused('Its name is too long.', 400);
    const content = await readBytes(request, LARGEST_PICTURE, tooLargePicture);
    const answer = await bringRecordFile(member, { kind, key, client }, name, content);
    return Response.json(answer, { status: STATUS[answer.result] });
  });
}
