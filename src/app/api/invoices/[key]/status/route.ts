import { CHANGE_INVOICE } from '../../../../../core/contract/invoices';
import { changeInvoice } from '../../../../../server/records/issueInvoice';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';

type Context = { params: Promise<{ key: string }> };

const STATUS = { done: 200, overtaken: 409, gone: 404, wrong: 400 } as const;

/** Issues a draft, or makes an invoice void. */
export async function PUT(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { version, to } = await CHANGE_INVOICE.validate(await readJson(request, 200), { strict: true });
    const answer = await changeInvoice(member, keyFrom((await params).key), version, to as 'sent' | 'void');
    return Response.json(answer, { status: STATUS[answer.result] });
  });
}
