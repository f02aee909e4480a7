import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { cache } from 'react';
import { currentMember, type CurrentMember } from '../server/signIn/currentMember';
import { isUnderTls } from './ownAddress';

/** Under TLS bound to this very host: RFC 6265bis, section 4.1.3.2. */
export function sessionCookie(): string {
  return isUnderTls() ? '__Host-fair-quill-session' : 'fair-quill-session';
}

/** The signed-in member, asked once a request. */
export const signedIn = cache(async (): Promise<CurrentMember | undefined> => {
  return currentMember(await sessionToken());
});

export async function sessionToken(): Promise<string | undefined> {
  return (await cookies()).get(sessionCookie())?.value;
}

/** The signed-in member; anybody else is sent to sign in and comes back to the page asked for. */
export async function requireMember(): Promise<CurrentMember> {
  const member = await signedIn();
  if (!member) redirect(`/sign-in?to=${encodeURIComponent((await headers()).get('x-path') ?? '/')}`);
  return member;
}
