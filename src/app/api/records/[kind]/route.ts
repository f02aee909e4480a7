import { newFacts, type FactsOf } from '../../../../core/contract/records/recordForms';
import { isFormKind, type FormKind } from '../../../../core/contract/records/formKinds';
import { formGround } from '../../../../server/records/formChoices';
import { makeRecord } from '../../../../server/records/keepRecord';
import { asMember } from '../../asMember';
import { kept } from '../../kept';
import { readJson } from '../../readJson';
import { MOST_OF_A_RECORD, noSuchKind } from '../recordRoutes';

type Context = { params: Promise<{ kind: string }> };

/** Writes a record down with all that is known; asked for again under the same id, it is there. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { kind } = await params;
    if (!isFormKind(kind)) return noSuchKind();
    const { own } = await formGround(member);
    const { id, enquiry, ...facts } = (await newFacts(kind, own).validate(
      await readJson(request, MOST_OF_A_RECORD),
      {
        abortEarly: false,
        strict: true,
      },
    )) as FactsOf[FormKind] & { id: string; enquiry?: string };
    return kept(await makeRecord(member, kind, id, facts, enquiry));
  });
}
