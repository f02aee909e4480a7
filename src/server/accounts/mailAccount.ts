import { domainOf } from '../../core/addressing/addresses';
import type { KindOfAccount, WhoseAccount } from '../../core/contract/records/mailAccount';
import { accountOf, removeAccount } from '../../data/repositories/accounts/mailAccounts';
import { sendersOf } from '../../data/repositories/sending/sendersOf';
import { guessServer } from '../../post/guessing/guessServer';
import type { GuessedServer } from '../../post/guessing/readAutoconfig';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustOwn } from '../signIn/rights';
import { kindOf, type FactsOf } from './accountKinds';
import { factsOf, memberOf } from './accountRow';

/** An account as its form has it: everybody's, or one's own; undefined where there is none. */
export const mailAccount = forMember(
  async (
    { business_id, id }: CurrentMember,
    kind: KindOfAccount,
    whose: WhoseAccount,
  ): Promise<{ id: string; facts: FactsOf[typeof kind] } | undefined> => {
    const account = await accountOf(connection(), kind, business_id, memberOf(whose, id));
    return account && { id: account.id, facts: factsOf(kindOf(kind), account) as FactsOf[typeof kind] };
  },
) as <Kind extends KindOfAccount>(
  member: CurrentMember,
  kind: Kind,
  whose: WhoseAccount,
) => Promise<{ id: string; facts: FactsOf[Kind] } | undefined>;

/** The account as it is, with its secret, and whose mail goes by it: the addresses of those who write. */
export const accountAndPeople = forMember(
  async ({ business_id, id }: CurrentMember, kind: KindOfAccount, whose: WhoseAccount) => {
    const member_id = memberOf(whose, id);
    return {
      before: await accountOf(connection(), kind, business_id, member_id),
      people: await sendersOf(connection(), business_id, member_id),
    };
  },
);

/**
 * Looks up the server of an account, as far as a network answers.
 * @returns the domain that was asked about, and what it says
 */
export async function guessAccount(
  member: CurrentMember,
  kind: KindOfAccount,
  whose: WhoseAccount,
): Promise<{ domain: string; found?: GuessedServer }> {
  const { people } = await accountAndPeople(member, kind, whose);
  const [address = ''] = people;
  const found = await guessServer(address, kind);
  return { domain: domainOf(address), ...(found ? { found } : {}) };
}

/** Takes an account out. @throws NotAllowed */
export async function removeMailAccount(
  member: CurrentMember,
  kind: KindOfAccount,
  whose: WhoseAccount,
): Promise<boolean> {
  if (whose === 'business') mustOwn(member);
  return removeIt(member, kind, whose);
}

const removeIt = forMember(
  async ({ business_id, id }: CurrentMember, kind: KindOfAccount, whose: WhoseAccount) =>
    removeAccount(connection(), kind, business_id, memberOf(whose, id)),
);
