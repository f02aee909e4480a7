import { giveNewPassword } from '../src/server/signIn/newPassword';

try {
  const [email, ...others] = process.argv.slice(2);
  if (!email || others.length > 0) throw new Error('Say whose: npm run --silent password -- ADDRESS');
  const password = await giveNewPassword(process.env.DATABASE_URL ?? '', email);
  console.log(`${email} signs in with ${password} from now on.`);
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}
