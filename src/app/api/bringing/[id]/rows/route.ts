import { MOST_OF_ROWS, someRows, type ComingRow } from '../../../../../core/contract/bringing';
import { giveRows, kindOfBringing } from '../../../../../server/bringing/bringing';
import { formGround } from '../../../../../server/records/formChoices';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';
import { idFrom } from '../../../../keyFrom';
import { NO_SUCH_FILE } from '../../bringingRoutes';

type Context = { params: Promise<{ id: string }> };

/** Takes some rows of a file; given again at the same place, they are the same. */
export async function PUT(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const id = idFrom((await params).id);
    const json = await readJson(request, MOST_OF_ROWS);
    const kind = id && (await kindOfBringing(member, id));
    if (!id || !kind) return NO_SUCH_FILE();
    const { own } = await formGround(member);
    const { position, rows } = await someRows(kind, own).validate(json, { abortEarly: false, strict: true });
    if (await giveRows(member, id, position, rows as unknown as ComingRow[])) return Response.json({});
    return Response.json({ error: 'Its rows were given already.' }, { status: 409 });
  });
}
