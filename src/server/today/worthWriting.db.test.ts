import { expect, it } from 'vitest';
import { readDay } from '../../core/dates/civil';
import { listed } from '../../core/fitting/listedTemplate';
import { OCCASION_DEFAULTS, occasionId } from '../../core/occasions/occasion';
import { occasionsOf } from '../../core/occasions/occasionsOf';
import { templateFor } from '../../core/occasions/templateFor';
import { WritingDesk } from '../../core/writing/writingDesk';
import { stableId } from '../../data/stableId';
import { pastLetters } from '../../data/repositories/pastLetters';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { standingVersions, templatesByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { worthWriting } from '../../data/repositories/worthWriting';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { lookingFor } from './lookingFor';

const ground = demonstrationDatabase();
const { business_id, id } = imke;

it('what the database finds is what the rules find, on each of a hundred days', async () => {
  const { database } = ground;
  // One that nobody has written about, as the demonstration has none.
  await database.sequelize.query(`
    insert into invoice (business_id, id, key, number, client_id, issued_on, due_on, status)
      select business_id, gen_random_uuid(), 'K-1', 'K-1', id, '2026-11-02', '2026-12-02', 'sent'
      from client where key = 'college';
    insert into invoice_line (business_id, invoice_id, position, unit_price)
      select business_id, id, 0, 1000 from invoice where key = 'K-1'`);
  const records = (await recordsOfBusiness(database, business_id))!;
  const scope = {
    clients: records.clients!.map(({ key }) => stableId('client', key)),
    enquiries: records.enquiries!.map(({ key }) => stableId('enquiry', key)),
  };
  const letters = await pastLetters(database, business_id, id, scope);
  const keys = (await standingVersions(database, business_id, id)).map(({ key }) => key);
  const templates = (await templatesByKey(database, business_id, id, keys)).map(listed);
  const acts = new Map<string, number>();
  for (let day = 0; day < 100; day++) {
    const now = Date.UTC(2026, 8, 20 + day, 9);
    const desk = new WritingDesk({ records, now, templates, passages: [], signatures: [], member: 'imke' });
    const looking = lookingFor(desk.book, templates, OCCASION_DEFAULTS);
    const found = (await worthWriting(database, business_id, looking)).map((candidate) =>
      occasionId({ ...candidate, since: readDay(candidate.since)! }),
    );
    const byRules = occasionsOf(desk.book, letters);
    const open = byRules.filter((occasion) => templateFor(occasion, desk, letters) !== 'done');
    for (const { act } of open) acts.set(act, (acts.get(act) ?? 0) + 1);
    // In their order; what is done with may be among them still, nothing else.
    const asOpen = new Set(open.map(occasionId));
    expect(
      found.filter((one) => asOpen.has(one)),
      looking.today,
    ).toEqual(open.map(occasionId));
    const all = new Set(byRules.map(occasionId));
    expect(
      found.filter((one) => !all.has(one)),
      looking.today,
    ).toEqual([]);
  }
  // Every rule was put to the test.
  expect([...acts.keys()].sort()).toEqual([
    'enquiry answered',
    'instalment due',
    'invoice overdue',
    'invoice sent',
    'job finished',
    'payment received',
    'visit ahead',
    'visit confirmed',
  ]);
});
