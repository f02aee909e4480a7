import {
  PAYMENT,
  PAYMENT_TO_UNDO,
  type PaymentAnswer,
  type Recording,
} from '../../../../../core/contract/payments';
import { recordPayment, undoPayment } from '../../../../../server/records/recordPayment';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';

type Context = { params: Promise<{ key: string }> };

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
    const answer = { ...recording, ...(error ? { error } : {}) } as PaymentAnswer;
    return Response.json(answer, { status: STATUS[recording.result] });
  });
}

/** Takes a payment away again that has just been written down. */
export async function DELETE(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const payment = await PAYMENT_TO_UNDO.validate(await readJson(request, 2_000), { strict: true });
    const undone = await undoPayment(member, keyFrom((await params).key), payment);
    return undone ? Response.json({}) : Response.json({ error: OVERTAKEN }, { status: 409 });
  });
}
