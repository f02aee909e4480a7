import { LETTER_NARROWING } from '../../../core/contract/letterNarrowing';
import type { ListPage } from '../../../core/contract/list';
import { findLetters } from '../../../server/letters/findLetters';
import { post } from '../../../server/letters/post';
import { sendLetter } from '../../../server/sending/sendLetter';
import { showLetters } from '../../../server/letters/showLetters';
import { letterEntry } from '../../../ui/post/letterEntry';
import { asMember } from '../asMember';
import { answeredSending, readLetter } from './readLetter';

/**
 * The newest letters that have some words: ?find=words; what follows in the list of all: ?after=place; each of those that a
 * narrowing leaves (contract/letterNarrowing).
 */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { find, after, ...narrowedBy } = Object.fromEntries(new URL(request.url).searchParams);
    const narrowing = await LETTER_NARROWING.validate(narrowedBy, { strict: true });
    const { letters, next } =
      find === undefined
        ? await post(member, after, narrowing)
        : { letters: await findLetters(member, find.slice(0, 200), narrowing) };
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
