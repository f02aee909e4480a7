import type { InferType } from 'yup';
import type { KindOfAccount, MAIL_ACCOUNT } from '../../core/contract/records/mailAccount';
import type { Kept, MailAccount } from '../../data/repositories/accounts/mailAccounts';
import type { MailServer } from '../../post/mailServer';

/** What every account is: a server, and who signs in there. */
export type AccountFacts = InferType<typeof MAIL_ACCOUNT>;

/** What is wrong with an account, in words, at the fact that it lies with. */
interface WrongFact {
  field: string;
  words: string;
}

/** What accounts of a kind have beside a server and who signs in there. */
export interface AccountKind<Facts extends AccountFacts, Row extends MailAccount> {
  kind: KindOfAccount;
  /** its own columns */
  row: (asked: Facts) => Omit<Row, keyof SharedRow>;
  /** its own facts */
  facts: (row: Row) => Omit<Facts, keyof AccountFacts>;
  /** Talks to its server as it will be used. @param addresses whose mail it is */
  tryOut: (
    server: MailServer,
    account: Kept<Row>,
    addresses: readonly string[],
  ) => Promise<WrongFact | undefined>;
}

/** The columns that every account has. */
export type SharedRow = Pick<
  MailAccount,
  | 'business_id'
  | 'id'
  | 'member_id'
  | 'host'
  | 'port'
  | 'security'
  | 'sign_in'
  | 'user_name'
  | 'secret'
  | 'provider'
  | 'version'
>;
