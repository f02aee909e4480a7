import { number, object, string, ValidationError } from 'yup';
import { readDay } from '../../../../../core/dates/civil';
import { recordPayment } from '../../../../../server/recordPayment';
import { keyFrom } from '../../../../recordPage';
import { asMember, jsonOf } from '../../../asMember';

type Context = { params: Promise<{ key: string }> };

const PAYMENT = object({
  version: number().integer().positive().required(),
  amount: number().integer().positive('Write what was paid, as 96 or 96.00.').required(),
  paid_on: string()
    .required('Write the day it was paid.')
    .test('day', 'Write the day it was paid, as 2026-03-31.', (text) => readDay(text) !== undefined),
  method: string().trim().max(100),
}).noUnknown();

const ANSWERS = {
  recorded: { status: 201, body: {} },
  overtaken: {
    status: 409,
    body: { error: 'Somebody has changed this invoice since you opened it. Look at it again.' },
  },
  gone: { status: 404, body: { error: 'There is no such invoice.' } },
} as const;

/** Writes down a payment. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    try {
      const { version, method, ...payment } = await PAYMENT.validate(await jsonOf(request), { strict: true });
      const key = keyFrom((await params).key);
      const { status, body } =
        ANSWERS[await recordPayment(member, key, version, { ...payment, method: method || null })];
      return Response.json(body, { status });
    } catch (error) {
      if (error instanceof ValidationError) return Response.json({ error: error.message }, { status: 400 });
      throw error;
    }
  });
}
