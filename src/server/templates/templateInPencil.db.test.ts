import { expect, it } from 'vitest';
import { stableId } from '../../data/stableId';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { templateInPencil } from './templateInPencil';
import { templatesByGroup } from './templatesByGroup';
import { imke } from '../test/imke';

const ground = demonstrationDatabase();

it('the templates stand under their groups, in order', async () => {
  const groups = await templatesByGroup(imke);
  expect(groups.map(({ name, templates }) => [name, templates.length])).toEqual([
    ['Enquiries', 3],
    ['Visits', 7],
    ['Workshop', 5],
    ['Money', 7],
    ['Afterwards', 2],
    ['Everyday', 2],
  ]);
  expect(groups[1]!.templates[0]).toMatchObject({ name: 'Visit confirmed', startsFrom: 'visit' });
  expect(groups[3]!.templates.slice(1, 4).map(({ name }) => name)).toEqual([
    'First reminder',
    'Second reminder',
    'Last reminder',
  ]);
});

it('one that has lost its group is not lost, one in the trash is', async () => {
  await ground.database.sequelize.query("update template set group_id = null where key = 'short-note'");
  await ground.database.sequelize.query(
    "update template set deleted_at = now() where key = 'visit-coming-up'",
  );
  const groups = await templatesByGroup(imke);
  expect(groups.at(-1)).toMatchObject({ name: 'Without a group', templates: [{ name: 'Short note' }] });
  expect(groups[1]?.templates).toHaveLength(6);
});

it('another member’s own template is not shown', async () => {
  const teo = stableId('member', 'teo');
  await ground.database.sequelize.query(
    `update template set owner_id = '${teo}' where key = 'first-reminder'`,
  );
  expect(await templateInPencil(imke, 'first-reminder')).toBeUndefined();
  expect(await templateInPencil({ ...imke, id: teo }, 'first-reminder')).toBeDefined();
  expect(
    await templateInPencil({ ...imke, business_id: stableId('business', 'other') }, 'visit-confirmed'),
  ).toBeUndefined();
});

it('a template in pencil shows its tags in words', async () => {
  const template = (await templateInPencil(imke, 'visit-confirmed'))!;
  expect(template.problems).toEqual([]);
  expect(template.labels).toMatchObject({
    '{{booking.service | sentence}}': 'service, with a capital',
    '{{recipient.greeting_name}}': 'greeting name',
    '{{booking.member.given_name}}': 'member, given name',
    '{{#booking.items}}': 'For each of items',
    '{{#custom.maker}}': 'Only when maker is set',
    '{{.}}': 'it',
  });
  const statement = (await templateInPencil(imke, 'statement-of-account'))!;
  expect(statement.labels).toMatchObject({
    '{{#when client.outstanding over 0}}': 'Only when outstanding is over £0',
    '{{#client.unpaid_invoices | by due_on}}': 'For each of unpaid invoices, by due date',
    '{{client.unpaid_invoices | sum balance}}': 'unpaid invoices, sum of balance',
  });
});
