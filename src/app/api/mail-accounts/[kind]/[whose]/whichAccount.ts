import {
  ACCOUNT_KINDS,
  WHOSE_ACCOUNT,
  type KindOfAccount,
  type WhoseAccount,
} from '../../../../../core/contract/records/mailAccount';

/** Which account an address names. */
export interface AccountContext {
  params: Promise<{ kind: string; whose: string }>;
}

/** Undefined: none can have that address. */
export async function whichAccount({
  params,
}: AccountContext): Promise<{ kind: KindOfAccount; whose: WhoseAccount } | undefined> {
  const asked = await params;
  const kind = ACCOUNT_KINDS.find((one) => one === asked.kind);
  const whose = WHOSE_ACCOUNT.find((one) => one === asked.whose);
  return kind && whose && { kind, whose };
}

export function nobodys(): Response {
  return Response.json({ error: 'There is no such account.' }, { status: 404 });
}
