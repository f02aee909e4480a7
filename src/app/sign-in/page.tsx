import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { demonstrationMembers } from '../../server/demonstrationMembers';
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

/** Only a path of this application is gone to. */
function ownPath(to: string | string[] | undefined): string {
  return typeof to === 'string' && /^\/(?![/\\])/.test(to) ? to : '/';
}
