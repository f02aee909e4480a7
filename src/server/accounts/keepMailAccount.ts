import { UniqueConstraintError } from 'sequelize';
import type { Keeping } from '../../core/contract/records/keeping';
import type { KindOfAccount, WhoseAccount } from '../../core/contract/records/mailAccount';
import { keepAccount, type Kept, type MailAccount } from '../../data/repositories/accounts/mailAccounts';
import { findProvider, ProviderRefuses } from '../../post/oauth/provider';
import { beginSignIn, exchangeCode } from '../../post/oauth/tokens';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { NoKey } from '../sealing/keyring';
import { seal, unseal } from '../sealing/seal';
import type { CurrentMember } from '../signIn/currentMember';
import { mustOwn } from '../signIn/rights';
import type { AccountFacts } from './accountKind';
import { kindOf } from './accountKinds';
import { factsOf, rowFrom, sameSignIn } from './accountRow';
import { freshToken } from './freshToken';
import { accountAndPeople, mailAccount } from './mailAccount';
import { openPending, sealPending, type CameBack } from './pendingSignIn';
import { openProviderSecret, sealProviderSecret } from './providerSecret';
import { isPublicOnly, serverOf, type SigningIn } from './serverOf';

/** What came of keeping an account, with what is kept on the device while somebody signs in at their provider. */
export interface AccountKeeping {
  keeping: Keeping<AccountFacts>;
  pending?: string;
}

/** Which account. */
interface Which {
  kind: KindOfAccount;
  whose: WhoseAccount;
}

/**
 * Keeps an account, once it has been tried as it will be used; where a provider signs people in, once they have been there.
 * @param redirect where they come back to
 * @throws NotAllowed where it is everybody's and the member is no owner
 */
export async function keepMailAccount(
  member: CurrentMember,
  which: Which,
  asked: AccountFacts,
  redirect: string,
): Promise<AccountKeeping> {
  const { kind, whose } = which;
  if (whose === 'business') mustOwn(member);
  const { before, people } = await accountAndPeople(member, kind, whose);
  if ((before?.version ?? 0) !== asked.version)
    return {
      keeping: before ? { result: 'overtaken', now: factsOf(kindOf(kind), before) } : { result: 'gone' },
    };
  const account = rowFrom(kindOf(kind), member, whose, asked, before);
  try {
    if (asked.sign_in !== 'provider')
      return { keeping: await keepTried(member, which, account, people, passwordOf(asked, before)) };
    const kept = sameSignIn(asked, before) && openProviderSecret(before!.secret!, before!);
    if (!kept) return await beginAtProvider(member, which, asked, redirect);
    const signingIn = {
      token: (anew: boolean) => tokenNow(member, kind, account.id, anew, kept.access_token),
    };
    account.provider = before!.provider;
    return { keeping: await keepTried(member, which, account, people, signingIn) };
  } catch (error) {
    return { keeping: inWords(error) };
  }
}

/** Ends signing in at a provider: somebody has come back from there. */
export async function keepAfterProvider(
  member: CurrentMember,
  pending: string | undefined,
  { code, state, error }: CameBack,
): Promise<Keeping<AccountFacts>> {
  const { kind, whose, asked, provider, verifier, redirect } = openPending(member, pending, state);
  if (whose === 'business') mustOwn(member);
  if (code === undefined)
    return inWords(new ProviderRefuses(`The provider did not agree. ${error ?? ''}`.trim()));
  const { before, people } = await accountAndPeople(member, kind, whose);
  if ((before?.version ?? 0) !== asked.version) return overtakenOrGone(member, { kind, whose });
  const account = rowFrom(kindOf(kind), member, whose, asked, before);
  const client = { client_id: asked.client_id!, client_secret: asked.secret };
  try {
    const tokens = await exchangeCode(provider, client, { code, verifier, redirect }, isPublicOnly());
    account.provider = { ...provider, client_id: client.client_id, scope: asked.scope ?? '' };
    account.secret = sealProviderSecret({ ...tokens, client_secret: asked.secret }, account);
    const signingIn = { token: () => Promise.resolve(tokens.access_token) };
    return await keepTried(member, { kind, whose }, account, people, signingIn);
  } catch (refused) {
    return inWords(refused);
  }
}

/** What kept an account from being kept, at the fact that it lies with. @throws anything else */
function inWords(error: unknown): Extract<Keeping<AccountFacts>, { result: 'wrong' }> {
  const wrong = (field: string) => ({ result: 'wrong' as const, field, error: (error as Error).message });
  if (error instanceof Unfit) return wrong(error.field);
  if (error instanceof NoKey) return wrong('secret');
  if (error instanceof ProviderRefuses) return wrong('issuer');
  throw error;
}

/** What of an account cannot be as it was written. */
class Unfit extends Error {
  constructor(
    readonly field: string,
    words: string,
  ) {
    super(words);
  }
}

/** Tries an account, and keeps it where its server does what it is for. */
async function keepTried(
  member: CurrentMember,
  which: Which,
  account: Kept<MailAccount>,
  people: readonly string[],
  signingIn: SigningIn,
): Promise<Keeping<AccountFacts>> {
  if ('password' in signingIn && signingIn.password !== undefined)
    account.secret = seal(signingIn.password, { ...account, name: account.id });
  const wrong = await kindOf(which.kind).tryOut(serverOf(account, signingIn), account, people);
  if (wrong) return { result: 'wrong', field: wrong.field, error: wrong.words };
  try {
    const kept = await keepIt(member, which.kind, account);
    return kept ? { result: 'kept', version: account.version } : await overtakenOrGone(member, which);
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    return overtakenOrGone(member, which);
  }
}

async function beginAtProvider(
  member: CurrentMember,
  which: Which,
  asked: AccountFacts,
  redirect: string,
): Promise<AccountKeeping> {
  const provider = await findProvider(asked.issuer!, isPublicOnly());
  const { to, state, verifier } = beginSignIn(provider, {
    client_id: asked.client_id!,
    scope: asked.scope ?? '',
    redirect,
    user: asked.user_name!,
  });
  const pending = sealPending(member, { ...which, asked, provider, state, verifier, redirect });
  if (pending.length > MOST_PENDING) throw new Unfit('client_id', 'That is too long to be taken along.');
  return { keeping: { result: 'elsewhere', to }, pending };
}

/** A cookie holds no more. */
const MOST_PENDING = 3_900;

const WRITE_AGAIN = 'Write the password again: it is not given to another server, nor with less protection.';

const keepIt = forMember(async (_: CurrentMember, kind: KindOfAccount, account: Kept<MailAccount>) =>
  keepAccount(connection(), kind, account as never),
);

/** Somebody else kept another meanwhile, or took it out. */
async function overtakenOrGone(
  member: CurrentMember,
  { kind, whose }: Which,
): Promise<Keeping<AccountFacts>> {
  const now = await mailAccount(member, kind, whose);
  return now ? { result: 'overtaken', now: now.facts } : { result: 'gone' };
}

/** The password that it is tried with: a kept one only where it was kept for. */
function passwordOf(asked: AccountFacts, before?: MailAccount): { password?: string } {
  if (asked.sign_in === 'none') return {};
  if (asked.secret !== undefined) return { password: asked.secret };
  if (!before?.secret) throw new Unfit('secret', 'Write the password.');
  if (!sameSignIn(asked, before)) throw new Unfit('secret', WRITE_AGAIN);
  return { password: unseal(before.secret, { ...before, name: before.id }) };
}

const tokenNow = forMember(
  async ({ business_id }: CurrentMember, kind: KindOfAccount, id: string, anew: boolean, before: string) =>
    freshToken(connection(), kind, { business_id, id }, anew, before),
);
