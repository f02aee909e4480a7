import { PUT_BACK_RECORD } from '../../../../core/contract/records/removing';
import { putBackRecord } from '../../../../server/records/removeRecord';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

/** Puts a record back that was removed. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { id } = await PUT_BACK_RECORD.validate(await readJson(request, 200), { strict: true });
    const back = await putBackRecord(member, id);
    return back
      ? Response.json(back)
      : Response.json({ error: 'It is not among the removed ones any more.' }, { status: 404 });
  });
}
