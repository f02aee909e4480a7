import { expect, it } from 'vitest';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { actTemplates, makeFirst } from './actTemplates';
import { versionsOfTemplate } from './versions';

demonstrationDatabase();

const ofOverdue = async () =>
  (await actTemplates(imke)).find(({ act }) => act === 'invoice overdue')!.templates;

it('an act has its own messages, and another becomes the first by a version of both', async () => {
  const before = await ofOverdue();
  expect(before[0]).toMatchObject({ key: 'first-reminder', first: true });
  expect(before.filter(({ first }) => first)).toHaveLength(1);
  expect(await makeFirst(imke, 'second-reminder')).toMatchObject({ result: 'done' });
  const after = await ofOverdue();
  expect(after[0]).toMatchObject({ key: 'second-reminder', first: true });
  expect(after.filter(({ first }) => first)).toHaveLength(1);
  expect(await versionsOfTemplate(imke, 'first-reminder')).toHaveLength(2);
  // Once more changes nothing.
  expect(await makeFirst(imke, 'second-reminder')).toMatchObject({ result: 'done' });
  expect(await versionsOfTemplate(imke, 'second-reminder')).toHaveLength(2);
  expect(await makeFirst(imke, 'short-note')).toBeUndefined();
  // Acts that have none are there, too.
  expect((await actTemplates(imke)).filter(({ templates }) => templates.length === 0).length).toBeGreaterThan(
    0,
  );
});
