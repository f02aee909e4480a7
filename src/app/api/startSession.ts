import { cookies } from 'next/headers';
import type { Session } from '../../server/signIn/openSession';
import { signOut } from '../../server/signIn/signIn';
import { isUnderTls } from '../ownAddress';
import { sessionCookie } from '../session';

/** Gives a device its session; the one it had is over. */
export async function startSession({ token, expires }: Session): Promise<void> {
  const jar = await cookies();
  const former = jar.get(sessionCookie())?.value;
  if (former) await signOut(former);
  jar.set(sessionCookie(), token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: isUnderTls(),
    path: '/',
    expires,
  });
}
