import { ownerKey } from '../../../core/contract/ownerKey';
import { LETTER_TO_SEND, type LetterToSend, type SendAnswer } from '../../../core/contract/letters';
import type { CopyDocument } from '../../../core/document/copyDocument';
import { readCopy } from '../../../core/document/readDocument';
import { UnreadableDocument } from '../../../core/document/kinds';
import { readSaidOtherwise } from '../../../core/writing/readSaidOtherwise';
import type { Choices } from '../../../core/writing/letter';
import type { CurrentMember } from '../../../server/signIn/currentMember';
import type { WrittenLetter } from '../../../server/sending/readyToGo';
import { readStartingPoint } from '../../../core/records/which/readStartingPoint';
import { readJson } from '../readJson';
import { Refused } from '../refused';

/** A long letter with its facts, and room. */
export const LARGEST_LETTER = 2_000_000;

/** A letter as its writer gives it. @throws Refused when it cannot be read, or somebody else has written it */
export async function readLetter(request: Request, member: CurrentMember): Promise<WrittenLetter> {
  const json = (await readJson(request, LARGEST_LETTER)) as { document?: unknown };
  const letter = await LETTER_TO_SEND.validate(json, { strict: true, stripUnknown: false });
  if (letter.writer !== undefined && letter.writer !== ownerKey(member.business_id, member.key))
    throw new Refused(`This letter is another member’s: it goes when they have signed in again.`, 403);
  const start = readStartingPoint(letter.from);
  if (!start) throw new Refused('There is no such record.', 400);
  const { id, templateVersion, facts } = letter;
  return {
    id,
    start,
    templateVersion,
    choices: readChoices(letter.choices),
    facts,
    document: documentOf(json.document),
  };
}

const STATUS: Readonly<Record<SendAnswer['result'], number>> = {
  going: 201,
  later: 201,
  noted: 201,
  already: 200,
  changed: 409,
  stopped: 422,
  gone: 410,
};

/** What became of a letter, as an answer. */
export function answeredSending(answer: SendAnswer): Response {
  return Response.json(answer, { status: STATUS[answer.result] });
}

/** A page as it came. @throws Refused when it cannot be read */
export function documentOf(json: unknown): CopyDocument {
  try {
    return readCopy(json);
  } catch (error) {
    if (!(error instanceof UnreadableDocument)) throw error;
    throw new Refused(`This letter cannot be read: ${error.message}`, 400);
  }
}

function otherwiseOf(json: unknown): NonNullable<Choices['saidOtherwise']> {
  try {
    return readSaidOtherwise(json);
  } catch {
    throw new Refused('What fields of this letter are to say cannot be read.', 400);
  }
}

/** What its writer decided, as it came. @throws Refused when it cannot be read */
export function readChoices({ answers, saidOtherwise, ...choices }: LetterToSend['choices']): Choices {
  // No name of an answer is one that every object has.
  const given = Object.entries(answers as Record<string, unknown>).filter(([name]) => !(name in {}));
  return {
    ...(Object.fromEntries(
      Object.entries(choices).filter(([, value]) => value !== undefined),
    ) as unknown as Omit<Choices, 'answers'>),
    ...(saidOtherwise === undefined ? {} : { saidOtherwise: otherwiseOf(saidOtherwise) }),
    answers: Object.fromEntries(
      given.flatMap(([name, typed]) => (typeof typed === 'string' ? [[name, typed]] : [])),
    ),
  };
}
