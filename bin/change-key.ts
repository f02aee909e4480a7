import { changeKey } from '../src/server/sealing/changeKey';

try {
  console.log(await changeKey(process.env.DATABASE_URL ?? ''));
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}
