import type { AlongAnswer } from '../../../core/contract/along';
import { LARGEST_PICTURE, tooLargePicture } from '../../../core/files/limits';
import { alongChoices, bringLetterFile } from '../../../server/letters/alongChoices';
import { readStartingPoint } from '../../../core/records/which/readStartingPoint';
import { asMember } from '../asMember';
import { readBytes } from '../readBytes';
import { Refused } from '../refused';

const STATUS = { done: 200, wrong: 422 } as const satisfies Record<AlongAnswer['result'], number>;

/** The files that could go along with a letter: ?from=invoice:LPC-1048. */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const start = readStartingPoint(new URL(request.url).searchParams.get('from'));
    const choices = start && (await alongChoices(member, start));
    if (!choices) throw new Refused('There is no such record.', 404);
    return Response.json(choices);
  });
}

/** Brings in a file for one letter: ?name=Pedals.jpg. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const name = new URL(request.url).searchParams.get('name') ?? '';
    if (name.length > 1000) throw new Refused('Its name is too long.', 400);
    const content = await readBytes(request, LARGEST_PICTURE, tooLargePicture);
    const answer = await bringLetterFile(member, name, content);
    return Response.json(answer, { status: STATUS[answer.result] });
  });
}
