import { letterAsFile } from '../../../../server/letters/letterAsFile';
import { asMember } from '../../asMember';
import { download } from '../../download';
import { answeredSending, readLetter } from '../readLetter';

/** A letter as a message file, with all that goes along; what keeps it from going is told as when it is sent. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const file = await letterAsFile(member, await readLetter(request, member));
    return 'result' in file ? answeredSending(file) : download(file, '');
  });
}
