import { RECORD_FORMS, type FactsOf } from '../../../../../core/contract/records/recordForms';
import { isFormKind, type FormKind } from '../../../../../core/contract/records/formKinds';
import { REMOVE_RECORD } from '../../../../../core/contract/records/removing';
import { formGround } from '../../../../../server/records/formChoices';
import { keepRecord } from '../../../../../server/records/keepRecord';
import { removeRecord } from '../../../../../server/records/removeRecord';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { kept } from '../../../kept';
import { readJson } from '../../../readJson';
import { MOST_OF_A_RECORD, noSuchKind } from '../../recordRoutes';

type Context = { params: Promise<{ kind: string; key: string }> };

/** Keeps what is known of a record. */
export async function PUT(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { kind, key } = await params;
    if (!isFormKind(kind)) return noSuchKind();
    const { own } = await formGround(member);
    const facts = (await RECORD_FORMS[kind](own).validate(await readJson(request, MOST_OF_A_RECORD), {
      abortEarly: false,
      strict: true,
    })) as FactsOf[FormKind];
    return kept(await keepRecord(member, kind, keyFrom(key), facts));
  });
}

/** Takes a record out; it can be put back. */
export async function DELETE(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { kind, key } = await params;
    if (!isFormKind(kind)) return noSuchKind();
    const { version } = await REMOVE_RECORD.validate(await readJson(request, 200), { strict: true });
    const removing = await removeRecord(member, kind, keyFrom(key), version);
    return 'stays' in removing
      ? Response.json({ error: removing.stays }, { status: 409 })
      : Response.json(removing);
  });
}
