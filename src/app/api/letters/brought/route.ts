import { LARGEST_LETTERS } from '../../../../core/contract/letters';
import { sizeInWords } from '../../../../core/describe/sizeInWords';
import { bringLetters } from '../../../../server/incoming/bringLetters';
import { asMember } from '../../asMember';
import { readBytes } from '../../readBytes';

/** Takes in the messages of a file: an .eml, or a mailbox file. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const file = await readBytes(
      request,
      LARGEST_LETTERS,
      (size) =>
        `It has ${sizeInWords(size)}, and ${sizeInWords(LARGEST_LETTERS)} can be brought in at once. Part it first.`,
    );
    if (file.length === 0) return Response.json({ error: 'There is nothing in it.' }, { status: 422 });
    const brought = await bringLetters(member, file);
    if (brought.taken + brought.known + brought.reports + brought.noRoom === 0)
      return Response.json(
        { error: 'There is no message in it that can be read. Choose an .eml or an mbox file.' },
        { status: 422 },
      );
    return Response.json(brought, { status: 201 });
  });
}
