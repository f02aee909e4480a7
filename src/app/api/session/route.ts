import { cookies } from 'next/headers';
import { CREDENTIALS } from '../../../core/contract/session';
import { signIn, signOut } from '../../../server/signIn/signIn';
import { answered } from '../answered';
import { readJson } from '../readJson';
import { startSession } from '../startSession';
import { requestAddress } from '../../requestAddress';
import { isUnderTls } from '../../ownAddress';
import { sessionCookie } from '../../session';

const REFUSALS = {
  wrong: { status: 401, error: 'The address or the password is wrong.' },
  'too many': { status: 429, error: 'Too many tries. Wait a minute, then try again.' },
  busy: { status: 503, error: 'Many people are signing in just now. Try again in a moment.' },
} as const;

/** Signs in. */
export async function POST(request: Request): Promise<Response> {
  return answered(request, async () => {
    const { email, password } = await CREDENTIALS.validate(await readJson(request, 2_000), {
      abortEarly: false,
      strict: true,
    });
    const result = await signIn(email.trim(), password, requestAddress(request));
    if ('refused' in result) {
      const { status, error } = REFUSALS[result.refused];
      return Response.json({ error }, { status });
    }
    await startSession(result);
    return Response.json({});
  });
}

/** Signs out. */
export async function DELETE(request: Request): Promise<Response> {
  return answered(request, async () => {
    const jar = await cookies();
    const token = jar.get(sessionCookie())?.value;
    if (token) await signOut(token);
    jar.delete({ name: sessionCookie(), path: '/', secure: isUnderTls() });
    return Response.json({});
  });
}
