import { noteElsewhere } from '../../../../server/sending/sendLetter';
import { asMember } from '../../asMember';
import { answeredSending, readLetter } from '../readLetter';

/** Notes a letter that has gone another way. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) =>
    answeredSending(await noteElsewhere(member, await readLetter(request, member))),
  );
}
