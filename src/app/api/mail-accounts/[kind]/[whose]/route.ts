import { MAILBOX } from '../../../../../core/contract/records/mailbox';
import { SENDING_ACCOUNT } from '../../../../../core/contract/records/sendingAccount';
import { keepMailAccount } from '../../../../../server/accounts/keepMailAccount';
import { removeMailAccount } from '../../../../../server/accounts/mailAccount';
import { asMember } from '../../../asMember';
import { kept } from '../../../kept';
import { readJson } from '../../../readJson';
import { comesBackTo, keepPending } from '../../pendingCookie';
import { nobodys, whichAccount, type AccountContext } from './whichAccount';

const FACTS = { sending: SENDING_ACCOUNT, mailbox: MAILBOX };

/** Tries an account as it will be used, and keeps it. */
export async function PUT(request: Request, context: AccountContext): Promise<Response> {
  return asMember(request, async (member) => {
    const which = await whichAccount(context);
    if (!which) return nobodys();
    const given = await readJson(request, 10_000);
    const asked = await FACTS[which.kind].validate(given, { abortEarly: false, strict: true });
    const { keeping, pending } = await keepMailAccount(member, which, asked, comesBackTo(request));
    if (pending !== undefined) await keepPending(pending);
    return kept(keeping);
  });
}

/** Takes it out: letters leave by the next that there is; a mailbox is not read any more. */
export async function DELETE(request: Request, context: AccountContext): Promise<Response> {
  return asMember(request, async (member) => {
    const which = await whichAccount(context);
    if (!which) return nobodys();
    const removed = await removeMailAccount(member, which.kind, which.whose);
    return removed ? Response.json({}) : nobodys();
  });
}
