import type { WritingAnswer, TemplateList } from '../../core/contract/writing';
import { tellCountries } from '../../core/fill/formats/phones/tellCountries';
import { pageKeptAt } from '../device/keptPages';
import { askServer, type Answer } from './askServer';
import { editionHere, listFor, listHere } from './templatesHere';

/** So many milliseconds the server is waited for: whoever has no templates yet gets all of them, on a slow connection, too. */
const PATIENCE = 60_000;

/**
 * Asks for what a letter is written from, without what this device has of it.
 * @param from `invoice:LPC-1048`
 * @param template the one to begin with
 * @param reply the id of the message that is to be answered
 * @param given what has come with the document: only where its list of templates is missing is anything asked
 * @returns with the list of templates that belongs to it; without one it cannot be used
 */
export async function askForFacts(
  from: string,
  template?: string,
  given?: WritingAnswer,
  reply?: string,
): Promise<Answer<WritingAnswer> & { list?: TemplateList | undefined }> {
  const edition = await editionHere();
  const keptAt = pageKeptAt();
  // Kept for when there is no connection may be another letter's, which knows of no message that it answers.
  if (given && (reply === undefined || given.answered?.id === reply)) {
    // A page that was kept earlier may be older than the templates that are here.
    const list = (keptAt !== undefined && (await listHere(given))) || (await listFor(given));
    if (list) return ready(keptAt === undefined ? given : asOfNow(given, keptAt), list);
  }
  const asked = new URLSearchParams({
    from,
    ...(template === undefined ? {} : { template }),
    ...(edition === undefined ? {} : { edition }),
    ...(reply === undefined ? {} : { reply }),
  });
  const answer = await askServer<WritingAnswer>(`/api/writing?${asked}`, undefined, 'GET', PATIENCE);
  if ('offline' in answer || answer.status !== 200) return answer;
  return ready(answer.body, await listFor(answer.body));
}

/** Time has passed since the page was kept: "tomorrow" is another day. */
function asOfNow(given: WritingAnswer, keptAt: number): WritingAnswer {
  return { ...given, now: given.now + Math.max(0, Date.now() - keptAt) };
}

function ready(body: WritingAnswer, list: TemplateList | undefined) {
  tellCountries(body.phones);
  return { status: 200, body, list };
}
