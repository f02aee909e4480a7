import { expect, it } from 'vitest';
import { sendingDatabase } from '../sending/test/sendingDatabase';
import { imke } from '../test/imke';
import { factsForWriting } from './factsForWriting';
import { firstLetter } from './firstLetter';

const ground = sendingDatabase();

const said = async (kind: 'client' | 'enquiry', key: string) =>
  (await factsForWriting(imke, { kind, key }))!.lastSaid;

it('what was last said, to whom and when, comes with what a letter is written from', async () => {
  const { sequelize } = ground.database;
  const last = await said('client', 'hartigan');
  expect(last).toMatch(/^Last written .+ by .+: “.+” to .+\./);
  expect((await firstLetter(imke, { kind: 'client', key: 'hartigan' }, {}))!.letter!.lastSaid).toBe(last);
  // A message of theirs that came since stands behind it; one by itself, as out of office, does not.
  const came = (subject: string, as: string) =>
    sequelize.query(
      `insert into message (business_id, id, message_id, thread_id, direction, came_as, status, subject, at, client_id, from_name)
       select business_id, gen_random_uuid(), gen_random_uuid()::text, gen_random_uuid(), 'in', '${as}', 'received', '${subject}',
         timestamptz '2026-11-25 08:15+00', id, 'Oda Hartigan' from client where key = 'hartigan'`,
    );
  await came('Away until Monday', 'out of office');
  expect(await said('client', 'hartigan')).toBe(last);
  await came('The upper octave', 'other');
  const [wrote] = last!.split(' Oda Hartigan wrote');
  expect(await said('client', 'hartigan')).toBe(
    `${wrote} Oda Hartigan wrote today at 08:15: “The upper octave”.`,
  );
});

it('nothing is said where nothing was', async () => {
  await ground.database.sequelize.query('delete from message');
  expect(await said('client', 'hartigan')).toBeUndefined();
});
