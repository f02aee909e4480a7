import type { KindOfAccount, WhoseAccount } from '../../../core/contract/records/mailAccount';

/** Which account a form is about. */
export interface Which {
  kind: KindOfAccount;
  whose: WhoseAccount;
}

/** Where what is typed of an account lies on the device until it is kept. */
export function accountPlace(owner: string, { kind, whose }: Which): string {
  return `${owner} ${kind} account ${whose}`;
}

/** Where it is given to. */
export function accountPath({ kind, whose }: Which): string {
  return `/api/mail-accounts/${kind}/${whose}`;
}
