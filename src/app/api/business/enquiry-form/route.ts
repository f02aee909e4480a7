import { ENQUIRY_FORM_FACTS } from '../../../../core/contract/enquiryForm';
import { keepOwnEnquiryForm } from '../../../../server/asking/enquiryForm';
import { asMember } from '../../asMember';
import { kept } from '../../kept';
import { readJson } from '../../readJson';

/** Keeps the business's form for its own site. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => kept(await keepOwnEnquiryForm(member, await asked(request))));
}

/** Keeps it, and gives it another address: the one before leads nowhere any more. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) =>
    kept(await keepOwnEnquiryForm(member, await asked(request), true)),
  );
}

async function asked(request: Request) {
  return ENQUIRY_FORM_FACTS.validate(await readJson(request, 20_000), { abortEarly: false, strict: true });
}
