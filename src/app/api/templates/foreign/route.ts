import { sizeInWords } from '../../../../core/describe/sizeInWords';
import { LARGEST_FILE } from '../../../../server/adopting/foreignFiles';
import { NoTemplate } from '../../../../server/adopting/noTemplate';
import { readTemplates } from '../../../../server/adopting/readTemplates';
import { asMember } from '../../asMember';
import { readBytes } from '../../readBytes';
import { Refused } from '../../refused';

/** Tells what a file with templates from elsewhere holds: ?name=letters.zip. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const name = new URL(request.url).searchParams.get('name') ?? '';
    if (!name || name.length > 1000) throw new Refused('Say what the file is called.', 400);
    const bytes = await readBytes(
      request,
      LARGEST_FILE,
      (size) => `This has ${sizeInWords(size)}: a file of at most ${sizeInWords(LARGEST_FILE)} is read.`,
    );
    try {
      return Response.json(await readTemplates(member, name, bytes));
    } catch (error) {
      if (!(error instanceof NoTemplate)) throw error;
      return Response.json({ error: error.lines.join('\n') }, { status: 422 });
    }
  });
}
