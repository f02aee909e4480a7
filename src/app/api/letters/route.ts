import { array, number, object, string, ValidationError, type InferType } from 'yup';
import { readCopy, UnreadableCopy } from '../../../core/fairCopy/readCopy';
import type { Choices } from '../../../core/writing/letter';
import { sendLetter, type Sending } from '../../../server/sendLetter';
import { readStartingPoint } from '../../startingPoint';
import { asMember, jsonOf } from '../asMember';

const LETTER = object({
  id: string().uuid().required(),
  from: string().required().max(200),
  templateVersion: number().integer().positive().required(),
  choices: object({
    template: string().required().max(100),
    project: string().max(100),
    booking: string().max(100),
    invoice: string().max(100),
    recipients: array(string().required().max(120)).max(20),
    answers: object().required(),
    stets: array(string().required().max(600)).max(100),
    leftOut: array(string().required().max(200)).max(50),
  }).required(),
  facts: object({
    values: object().required(),
    parts: array(string().defined().max(200)).max(5000).required(),
    to: array(string().defined().max(300)).max(100).required(),
  }).required(),
});

const STATUS: Readonly<Record<Sending['result'], number>> = {
  going: 201,
  already: 200,
  changed: 409,
  stopped: 422,
  gone: 410,
};

/** Takes a letter to be sent. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    try {
      const json = (await jsonOf(request)) as { document?: unknown };
      const letter = await LETTER.validate(json, { stripUnknown: false });
      const start = readStartingPoint(letter.from);
      if (!start) return Response.json({ error: 'There is no such record.' }, { status: 400 });
      const { id, templateVersion, facts } = letter;
      const choices = readChoices(letter.choices);
      const sending = await sendLetter(member, {
        id,
        start,
        templateVersion,
        choices,
        facts,
        document: readCopy(json.document),
      });
      return Response.json(sending, { status: STATUS[sending.result] });
    } catch (error) {
      if (error instanceof ValidationError || error instanceof UnreadableCopy) {
        return Response.json({ error: `This letter cannot be read: ${error.message}` }, { status: 400 });
      }
      throw error;
    }
  });
}

function readChoices({ answers, ...choices }: InferType<typeof LETTER>['choices']): Choices {
  const given = Object.entries(answers as Record<string, unknown>);
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
