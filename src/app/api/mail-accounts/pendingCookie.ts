import { cookies } from 'next/headers';
import { AWAY_SECONDS } from '../../../server/accounts/pendingSignIn';
import { isUnderTls } from '../../ownAddress';

const NAME = 'fair-quill-at-provider';
const PATH = '/api/mail-accounts';

/** Where somebody comes back to from their provider: the address that they have open. */
export function comesBackTo(request: Request): string {
  return `${request.headers.get('origin')}/settings/signed-in`;
}

/** What is kept on the device of somebody who is at their provider. */
export async function keepPending(pending: string): Promise<void> {
  (await cookies()).set(NAME, pending, {
    httpOnly: true,
    sameSite: 'lax',
    secure: isUnderTls(),
    path: PATH,
    maxAge: AWAY_SECONDS,
  });
}

/** Takes it: it is good once. */
export async function takePending(): Promise<string | undefined> {
  const jar = await cookies();
  const pending = jar.get(NAME)?.value;
  jar.set(NAME, '', { path: PATH, maxAge: 0 });
  return pending;
}
