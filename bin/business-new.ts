import { INVITED_FOR_DAYS } from '../src/core/contract/settingUp';
import { inviteFromCommandLine } from '../src/server/settingUp/invitations';

try {
  const token = await inviteFromCommandLine(process.env.DATABASE_URL ?? '');
  const { APP_URL, HOST, PORT } = process.env;
  const origin = APP_URL ? new URL(APP_URL).origin : `http://${HOST ?? '127.0.0.1'}:${PORT ?? '3400'}`;
  console.log(
    `Whoever opens this makes a business of their own here, once, within ${INVITED_FOR_DAYS} days:\n${origin}/sign-in?invited=${token}`,
  );
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}
