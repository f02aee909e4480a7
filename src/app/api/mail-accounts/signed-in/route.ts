import { CAME_BACK } from '../../../../core/contract/records/mailAccount';
import { keepAfterProvider } from '../../../../server/accounts/keepMailAccount';
import { asMember } from '../../asMember';
import { kept } from '../../kept';
import { readJson } from '../../readJson';
import { takePending } from '../pendingCookie';

/** Ends signing in at a provider, with what somebody came back with, and keeps the account. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const cameBack = await CAME_BACK.validate(await readJson(request, 8_000), { strict: true });
    return kept(await keepAfterProvider(member, await takePending(), cameBack));
  });
}
