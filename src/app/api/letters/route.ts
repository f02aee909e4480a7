import { LETTER_TO_SEND, type LetterToSend, type SendAnswer } from '../../../core/contract/letters';
import type { ListPage } from '../../../core/contract/list';
import type { CopyDocument } from '../../../core/document/copyDocument';
import { readCopy } from '../../../core/document/readDocument';
import { UnreadableDocument } from '../../../core/document/kinds';
import type { Choices } from '../../../core/writing/letter';
import { findLetters } from '../../../server/letters/findLetters';
import { post } from '../../../server/letters/post';
import { sendLetter } from '../../../server/sending/sendLetter';
import { showLetters } from '../../../server/letters/showLetters';
import { letterEntry } from '../../../ui/post/letterEntry';
import { readStartingPoint } from '../../startingPoint';
import { asMember } from '../asMember';
import { readJson } from '../readJson';
import { Refused } from '../refused';

/** A long letter with its facts, and room. */
const LARGEST_LETTER = 2_000_000;

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

const STATUS: Readonly<Record<SendAnswer['result'], number>> = {
  going: 201,
  already: 200,
  changed: 409,
  stopped: 422,
  gone: 410,
};

/** Takes a letter to be sent. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const json = (await readJson(request, LARGEST_LETTER)) as { document?: unknown };
    const letter = await LETTER_TO_SEND.validate(json, { strict: true, stripUnknown: false });
    const start = readStartingPoint(letter.from);
    if (!start) throw new Refused('There is no such record.', 400);
    const { id, templateVersion, facts } = letter;
    const sending = await sendLetter(member, {
      id,
      start,
      templateVersion,
      choices: readChoices(letter.choices),
      facts,
      document: documentOf(json.document),
    });
    return Response.json(sending, { status: STATUS[sending.result] });
  });
}

function documentOf(json: unknown): CopyDocument {
  try {
    return readCopy(json);
  } catch (error) {
    if (!(error instanceof UnreadableDocument)) throw error;
    throw new Refused(`This letter cannot be read: ${error.message}`, 400);
  }
}

function readChoices({ answers, ...choices }: LetterToSend['choices']): Choices {
  // No name of an answer is one that every object has.
  const given = Object.entries(answers as Record<string, unknown>).filter(([name]) => !(name in {}));
  return {
    ...(Object.fromEntries(Object.entries(choices).filter(([, value]) => value !== undefined)) as Omit<
      Choices,
      'answers'
    >),
    answers: Object.fromEntries(
      given.flatMap(([name, typed]) => (typeof typed === 'string' ? [[name, typed]] : [])),
    ),
  };
}
