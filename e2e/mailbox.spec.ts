import { expect, test } from '@playwright/test';
import nodemailer from 'nodemailer';
import { refuseNext } from './writing';

const MAILBOX = process.env.MAILBOX_URL!;

test('the mailbox stand-in takes letters, shows them, and refuses when told to', async ({ page, request }, {
  project,
}) => {
  const to = `oda-${project.name}@hartigan.example`;
  const transport = nodemailer.createTransport(process.env.SMTP_URL!);
  const letter = {
    from: 'Imke Sandoval <imke@larkfield.example>',
    to,
    subject: 'Übermorgen',
    text: 'Hello Oda',
    html: '<p>Hello <b>Oda</b></p><script>document.title = "run"</script>',
  };
  await transport.sendMail(letter);
  const [taken] = (await (await request.get(`${MAILBOX}/letters?to=${to}`)).json()) as {
    subject: string;
    text: string;
  }[];
  expect(taken).toMatchObject({ subject: 'Übermorgen', text: 'Hello Oda' });
  await page.goto(`${MAILBOX}/?to=${to}`);
  await page.getByRole('link', { name: 'Übermorgen' }).click();
  await expect(page.frameLocator('iframe').getByText('Hello Oda')).toBeVisible();
  await expect(page).toHaveTitle('Übermorgen');
  await refuseNext(request, to, 550, 'No such mailbox here');
  await expect(transport.sendMail(letter)).rejects.toThrow('550 No such mailbox here');
});
