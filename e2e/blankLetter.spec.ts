import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { arrived, editable, expectWaiting, sendButton, stetAll, typeBehind } from './writing';

/** A client of its own for each size; she of the phone reads German. */
const CLIENTS = {
  desk: { client: 'castellanos', address: 'castellanos@post.example', greeting: 'Hello Inés,' },
  phone: { client: 'vollrath', address: 'jannike@vollrath.example', greeting: 'Guten Tag Jannike,' },
} as const;

test('a blank letter is one press away, with greeting and signature, and goes as it is written', async ({
  page,
  request,
}, { project }) => {
  const { client, address, greeting } = CLIENTS[project.name as 'desk'];
  await signIn(page);
  await page.goto(`/write?from=client:${client}`);
  await editable(page);
  if (project.name === 'phone') await page.getByRole('button', { name: 'Another template' }).click();
  await page.getByRole('button', { name: /A blank letter/ }).click();
  const letter = await editable(page);
  await expect(letter).toContainText(greeting);
  await expect(letter).toContainText('Imke Sandoval');
  await expectWaiting(page.locator('#page'), '1 stop');
  await expectAccessible(page);

  const subject = `The key, ${project.name}`;
  await letter.locator('.subject').evaluate((node) => getSelection()!.collapse(node, 0));
  await letter.focus();
  await page.keyboard.type(subject);
  await typeBehind(page, greeting, ' 12 Uhr, Montag?');
  // It goes on after a reload.
  await page.waitForTimeout(800);
  await page.reload();
  await expect(await editable(page)).toContainText('12 Uhr, Montag?');
  await stetAll(page.locator('#page'));
  await sendButton(page.locator('#page')).click();
  const [received] = await arrived(request, address, subject);
  expect(received!.text).toContain(`${greeting} 12 Uhr, Montag?`);
});
