import type { ListPage } from '../../../core/contract/list';
import { findLetters } from '../../../server/letters/findLetters';
import { post } from '../../../server/letters/post';
import { sendLetter } from '../../../server/sending/sendLetter';
import { showLetters } from '../../../server/letters/showLetters';
import { letterEntry } from '../../../ui/post/letterEntry';
import { asMember } from '../asMember';
import { answeredSending, readLetter } from './readLetter';

/** The newest letters that have some words: ?find=words; what follows in the list of all: ?after=place */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = new URL(request.url).searchParams;
    const find = asked.get('find');
    const { letters, next } =
      find === null
        ? await post(member, asked.get('after') ?? undefined)
        : { letters: await findLetters(member, find.slice(0, 200)) };
    const entries = (await showLetters(member, letters)).map(letterEntry);
    const page: ListPage = { entries, ...(next ? { next } : {}) };
    return Response.json(page);
  });
}

/** Takes a letter to be sent. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) =>
    answeredSending(await sendLetter(member, await readLetter(request, member))),
  );
}
