import { TRIAL, type TrialAnswer } from '../../../../../core/contract/trials';
import { LONGEST_WORDS } from '../../../../../core/template/text/tooLarge';
import { sendTrial } from '../../../../../server/templates/sendTrial';
import { keyFrom } from '../../../../keyFrom';
import { readStartingPoint } from '../../../../../core/records/which/readStartingPoint';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';
import { Refused } from '../../../refused';

type Context = { params: Promise<{ key: string }> };

const STATUS = { going: 201, wrong: 422, gone: 404 } as const satisfies Record<TrialAnswer['result'], number>;

/** Sends a template as it is being written to a member, and to nobody else. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { from, ...trial } = await TRIAL.validate(await readJson(request, 4 * LONGEST_WORDS), {
      strict: true,
    });
    const start = readStartingPoint(from);
    if (!start) throw new Refused('There is no such record.', 400);
    const answer = await sendTrial(member, keyFrom((await params).key), start, trial);
    return Response.json(answer, { status: STATUS[answer.result] });
  });
}
