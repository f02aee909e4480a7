import { timingSafeEqual } from 'node:crypto';
import { ValidationError } from 'yup';
import type { KindOfAccount, WhoseAccount } from '../../core/contract/records/mailAccount';
import type { Provider } from '../../post/oauth/provider';
import { NoKey } from '../sealing/keyring';
import { seal, unseal } from '../sealing/seal';
import type { CurrentMember } from '../signIn/currentMember';
import type { AccountFacts } from './accountKind';

/** What somebody comes back from their provider with. */
export interface CameBack {
  code?: string | undefined;
  state: string;
  /** why it did not agree */
  error?: string | undefined;
}

/** An account as it will be once its owner has signed in at their provider. */
interface Pending {
  kind: KindOfAccount;
  whose: WhoseAccount;
  asked: AccountFacts;
  provider: Provider;
  state: string;
  verifier: string;
  redirect: string;
}

/** So long somebody may be away, in seconds. */
export const AWAY_SECONDS = 15 * 60;

/** Seals it for the device of whoever is away meanwhile. @throws NoKey */
export function sealPending(member: CurrentMember, pending: Pending): string {
  return seal(
    JSON.stringify({ ...pending, until: Date.now() + AWAY_SECONDS * 1000 }),
    whoseIs(member),
  ).toString('base64url');
}

/** Opens it again where it is theirs, not too old, and of this signing in. @throws ValidationError in words */
export function openPending(member: CurrentMember, sealed: string | undefined, state: string): Pending {
  try {
    const opened = unseal(Buffer.from(sealed ?? '', 'base64url'), whoseIs(member));
    const { until, ...pending } = JSON.parse(opened) as Pending & { until: number };
    const [one, other] = [Buffer.from(pending.state), Buffer.from(state)];
    if (until > Date.now() && one.length === other.length && timingSafeEqual(one, other)) return pending;
  } catch (error) {
    if (!(error instanceof NoKey)) throw error;
  }
  throw new ValidationError(
    'This signing in was not begun here, or too long ago. Begin it again in Settings.',
  );
}

function whoseIs({ business_id, id }: CurrentMember) {
  return { business_id, name: `signing in of ${id}` };
}
