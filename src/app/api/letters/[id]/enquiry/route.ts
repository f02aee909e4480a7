import type { EnquiryMadeAnswer } from '../../../../../core/contract/letters';
import { makeEnquiry } from '../../../../../server/incoming/makeEnquiry';
import { asMember } from '../../../asMember';

type Context = { params: Promise<{ id: string }> };

/** Makes an enquiry of a message from somebody unknown. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const made = await makeEnquiry(member, (await params).id);
    const [answer, status] = ((): [EnquiryMadeAnswer, number] => {
      switch (made.result) {
        case 'made':
          return [{ key: made.key }, 201];
        case 'not now':
          return [{ error: 'It is known whose it is by now. Load this page again.' }, 409];
        case 'none':
          return [{ error: 'There is no such message.' }, 404];
      }
    })();
    return Response.json(answer, { status });
  });
}
