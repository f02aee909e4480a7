import { afterEach, expect, it, vi } from 'vitest';
import { openedMark } from '../../core/incoming/openedMark';
import { readMail } from '../../post/reading/readMail';
import { oneLetter } from '../letters/oneLetter';
import { changeSettings } from '../settings';
import { imke } from '../test/imke';
import { noteOpened } from './noteOpened';
import { Sender } from './sender';
import { sendLetter } from './sendLetter';
import { mailServer } from './test/mailServer';
import { sendingDatabase } from './test/sendingDatabase';
import { written } from './test/written';

const ground = sendingDatabase();
afterEach(() => vi.unstubAllEnvs());

/** Sends a letter; gives its id, and the pictures in it that are fetched from elsewhere. */
async function sent(): Promise<{ id: string; fetched: string[] }> {
  const letter = await written();
  await sendLetter(imke, letter);
  await ground.database.sequelize.query("update message set goes_at = now() where status = 'going'");
  const server = await mailServer();
  await new Sender(ground.database, server.address).sendAllDue();
  server.close();
  const { mail } = await readMail(Buffer.from(server.content.slice(0, -1).join('\r\n')));
  const fetched = [...mail.html!.matchAll(/<img[^>]* src="(https?:[^"]*)"/g)].map(([, address]) => address!);
  return { id: letter.id, fetched };
}
const stateOf = async (id: string) => {
  const { status, events } = (await oneLetter(imke, id))!;
  return [status, events.filter(({ kind }) => kind === 'opened').length];
};

it('a letter that is wanted to tells when it is opened, once', async () => {
  vi.stubEnv('APP_URL', 'https://letters.example');
  await changeSettings(imke, { asksOpened: true });
  const { id, fetched } = await sent();
  const mark = openedMark({ business_id: imke.business_id, id });
  expect(fetched).toEqual([`https://letters.example/opened/${mark}`]);
  expect(await stateOf(id)).toEqual(['sent', 0]);
  for (let times = 0; times < 3; times++) await noteOpened(mark.toUpperCase());
  expect(await stateOf(id)).toEqual(['opened', 1]);
});

it('a letter tells nothing where that is not wanted, or nobody could fetch it; and no other business’s', async () => {
  vi.stubEnv('APP_URL', 'https://letters.example');
  const unwanted = await sent();
  expect(unwanted.fetched).toEqual([]);
  await noteOpened(openedMark({ business_id: imke.business_id, id: unwanted.id }));
  expect(await stateOf(unwanted.id)).toEqual(['sent', 0]);
  await changeSettings(imke, { asksOpened: true });
  await noteOpened(openedMark({ business_id: unwanted.id, id: unwanted.id }));
  await noteOpened('no mark');
  expect(await stateOf(unwanted.id)).toEqual(['sent', 0]);
  vi.stubEnv('APP_URL', '');
  expect((await sent()).fetched).toEqual([]);
});
