import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { demonstrationMembers } from '../../server/signIn/demonstrationMembers';
import { SignInForm } from '../../ui/signIn/SignInForm';
import { signedIn } from '../session';

export const metadata: Metadata = { title: 'Sign in' };

export default async function SignInPage({
  searchParams,
}: {
  searchParams: Promise<{ to?: string | string[] }>;
}) {
  const { to } = await searchParams;
  const target = ownPath(to);
  if (await signedIn()) redirect(target);
  return (
    <main className="sign-in">
      <SignInForm to={target} demonstration={await demonstrationMembers()} />
    </main>
  );
}

/** Only a path of this application is gone to: whatever a browser would make of the address is looked at, not its words. */
function ownPath(to: string | string[] | undefined): string {
  const here = 'http://here.invalid';
  if (typeof to !== 'string' || !URL.canParse(to, here)) return '/';
  const { origin, pathname, search, hash } = new URL(to, here);
  return origin === here && !pathname.startsWith('//') ? pathname + search + hash : '/';
}
