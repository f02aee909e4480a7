import { workWaysFacts } from '../../../../core/contract/records/workWays';
import { formGround } from '../../../../server/records/formChoices';
import { keepWays } from '../../../../server/settings/workWays';
import { asMember } from '../../asMember';
import { kept } from '../../kept';
import { readJson } from '../../readJson';

/** Keeps how work is done: the services, the numbers of invoices, the payment plans. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { own } = await formGround(member);
    const asked = await workWaysFacts(own.currency).validate(await readJson(request, 200_000), {
      abortEarly: false,
      strict: true,
    });
    return kept(await keepWays(member, asked));
  });
}
