import type { LetterStatus } from '../../../../core/contract/letters';
import { oneLetter } from '../../../../server/letters/oneLetter';
import { whyLetterWaits } from '../../../../server/sending/sendingState';
import { asMember } from '../../asMember';

type Context = { params: Promise<{ id: string }> };

/** What has become of a letter. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const letter = await oneLetter(member, (await params).id);
    if (!letter) return Response.json({ error: 'There is no such letter.' }, { status: 404 });
    const { status, reason, goes_in: goesIn } = letter;
    const due = status === 'going' && goesIn === 0;
    const waits = due ? await whyLetterWaits(member, letter.id) : undefined;
    const answer: LetterStatus = { status, reason, goesIn, ...(waits ? { waits } : {}) };
    return Response.json(answer);
  });
}
