import { guessAccount } from '../../../../../../server/accounts/mailAccount';
import { asMember } from '../../../../asMember';
import { nobodys, whichAccount, type AccountContext } from '../whichAccount';

/** Looks up the server of an account, by the addresses of those whose it is. */
export async function POST(request: Request, context: AccountContext): Promise<Response> {
  return asMember(request, async (member) => {
    const which = await whichAccount(context);
    return which ? Response.json(await guessAccount(member, which.kind, which.whose)) : nobodys();
  });
}
