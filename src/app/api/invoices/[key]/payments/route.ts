import { boolean, number, object, string } from 'yup';
import { readDay } from '../../../../../core/dates/civil';
import { LARGEST_SUM } from '../../../../../core/money/currency';
import { recordPayment, undoPayment, type Recording } from '../../../../../server/records/recordPayment';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';
import { VERSION, WHOLE_NUMBER } from '../../../wholeNumber';

type Context = { params: Promise<{ key: string }> };

const PAYMENT = object({
  version: VERSION,
  amount: number()
    .integer()
    .positive('Write what was paid, as 96 or 96.00.')
    .max(LARGEST_SUM, 'That is more than anybody pays. Look at it again.')
    .required(),
  paid_on: string()
    .required('Write the day it was paid.')
    .test('day', 'Write the day it was paid, as 2026-03-31.', (text) => readDay(text) !== undefined),
  method: string().trim().max(100),
  more: boolean(),
}).noUnknown();

const UNDONE = object({
  version: VERSION,
  position: WHOLE_NUMBER.min(0),
}).noUnknown();

const OVERTAKEN = 'Somebody has changed this invoice since you opened it. Look at it again.';

const STATUS: Readonly<Record<Recording['result'], number>> = {
  recorded: 201,
  more: 409,
  overtaken: 409,
  gone: 404,
};
const WORDS: Readonly<Partial<Record<Recording['result'], string>>> = {
  overtaken: OVERTAKEN,
  gone: 'There is no such invoice.',
};

/** Writes down a payment. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const json = await readJson(request, 2_000);
    const { version, method, more, ...payment } = await PAYMENT.validate(json, { strict: true });
    const key = keyFrom((await params).key);
    const recording = await recordPayment(member, key, version, { ...payment, method: method || null }, more);
    const error = WORDS[recording.result];
    return Response.json({ ...recording, ...(error ? { error } : {}) }, { status: STATUS[recording.result] });
  });
}

/** Takes a payment away again that has just been written down. */
export async function DELETE(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const payment = await UNDONE.validate(await readJson(request, 2_000), { strict: true });
    const undone = await undoPayment(member, keyFrom((await params).key), payment);
    return undone ? Response.json({}) : Response.json({ error: OVERTAKEN }, { status: 409 });
  });
}
