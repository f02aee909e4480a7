import { randomUUID } from 'node:crypto';
import type { WhoseAccount } from '../../core/contract/records/mailAccount';
import type { Kept, MailAccount } from '../../data/repositories/accounts/mailAccounts';
import type { CurrentMember } from '../signIn/currentMember';
import type { AccountFacts, AccountKind, SharedRow } from './accountKind';

type Kind = AccountKind<AccountFacts, MailAccount>;

/** Whom an account is of in its row: null is everybody who has none. */
export function memberOf(whose: WhoseAccount, id: string): string | null {
  return whose === 'own' ? id : null;
}

/** The row of an account as it is asked for. What signs in there is added once it is known. */
export function rowFrom(
  of: Kind,
  { business_id, id }: CurrentMember,
  whose: WhoseAccount,
  asked: AccountFacts,
  before?: MailAccount,
): Kept<MailAccount> {
  const { host, port, security, sign_in } = asked;
  const shared: Omit<SharedRow, 'secret'> & { secret?: null } = {
    business_id,
    id: before?.id ?? randomUUID(),
    member_id: memberOf(whose, id),
    host,
    port,
    security,
    sign_in,
    user_name: sign_in === 'none' ? null : asked.user_name!,
    ...(sign_in === 'none' ? { secret: null } : {}),
    provider: null,
    version: asked.version + 1,
  };
  return { ...shared, ...of.row(asked) } as Kept<MailAccount>;
}

/** What a form shows of a row. */
export function factsOf(of: Kind, account: MailAccount): AccountFacts {
  const { version, host, port, security, sign_in, user_name, provider } = account;
  return {
    version,
    host,
    port,
    security,
    sign_in,
    ...(provider === null
      ? {}
      : {
          issuer: provider.issuer,
          client_id: provider.client_id,
          ...(provider.scope ? { scope: provider.scope } : {}),
        }),
    ...(user_name === null ? {} : { user_name }),
    ...of.facts(account),
  };
}

/** Whether somebody signs in where and as they did, so that what is kept serves again. */
export function sameSignIn(asked: AccountFacts, before?: MailAccount): boolean {
  if (!before?.secret || asked.secret !== undefined) return false;
  const { provider } = before;
  return (
    (['host', 'port', 'security', 'sign_in', 'user_name'] as const).every(
      (name) => asked[name] === before[name],
    ) &&
    (provider === null ||
      (provider.issuer === asked.issuer?.replace(/\/$/, '') &&
        provider.client_id === asked.client_id &&
        provider.scope === (asked.scope ?? '')))
  );
}
