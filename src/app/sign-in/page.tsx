import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { COUNTRIES } from '../../core/records/countryDefaults';
import { demonstrationMembers } from '../../server/signIn/demonstrationMembers';
import { isNobodyHere } from '../../server/settingUp/makeBusiness';
import { isInvitation } from '../../server/settingUp/invitations';
import { BeginForm } from '../../ui/settingUp/BeginForm';
import { SignInForm } from '../../ui/signIn/SignInForm';
import { signedIn } from '../session';

export const metadata: Metadata = { title: 'Sign in' };

export default async function SignInPage({
  searchParams,
}: {
  searchParams: Promise<{ to?: string | string[]; invited?: string | string[] }>;
}) {
  const { to, invited } = await searchParams;
  const target = ownPath(to);
  if (await signedIn()) redirect(target);
  const isFirst = await isNobodyHere();
  const invitation = typeof invited === 'string' ? invited : undefined;
  const isInvited = invitation !== undefined && (await isInvitation(invitation));
  return (
    <main className="sign-in">
      {isFirst || isInvited ? (
        <BeginForm
          countries={countries()}
          country={await likelyCountry()}
          invited={isFirst ? undefined : invitation}
        />
      ) : (
        <SignInForm
          to={target}
          demonstration={await demonstrationMembers()}
          note={
            invitation === undefined ? undefined : 'This invitation was used, or is too old. Ask for another.'
          }
        />
      )}
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

/** All countries by their English names. */
function countries(): (readonly [code: string, name: string])[] {
  const names = new Intl.DisplayNames('en-GB', { type: 'region' });
  return COUNTRIES.map((code) => [code, names.of(code) ?? code] as const).sort(([, a], [, b]) =>
    a.localeCompare(b, 'en-GB'),
  );
}

/** The country that a browser says its user is in, by the languages they read (RFC 9110, 12.5.4). */
async function likelyCountry(): Promise<string> {
  const accepted = (await headers()).get('accept-language')?.slice(0, 500) ?? '';
  const regions = [...accepted.matchAll(/\b[a-z]{2,3}-([A-Z]{2})\b/g)].map(([, region]) => region!);
  return regions.find((region) => COUNTRIES.includes(region)) ?? 'GB';
}
