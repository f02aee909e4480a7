import { expect, it, vi } from 'vitest';
import type { AskedByForm } from '../../core/contract/enquiryForm';
import { connection } from '../connection';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { askByForm, formToShow } from './askByForm';
import { keepOwnEnquiryForm, ownEnquiryForm } from './enquiryForm';

demonstrationDatabase();

const ASKED: AskedByForm = {
  name: 'Ottilie <b>Vane</b>',
  email: 'ottilie@post.example',
  service: 'tuning visit',
  days: ['2027-03-09', '2027-03-02', '2027-03-09'],
  message: 'The piano in the hall, please.\n<script>alert(1)</script>',
};

/** As if so many milliseconds had gone by. */
function after(milliseconds: number) {
  const at = Date.now() + milliseconds;
  return vi.spyOn(Date, 'now').mockReturnValue(at);
}

async function enquiries() {
  return connection().inBusiness(imke.business_id, () =>
    connection().models.enquiry.findAll({ where: { via: 'the form on your site' }, raw: true }),
  ) as unknown as Promise<{ name: string; client_id: string | null; wanted_on: string[]; status: string }[]>;
}

async function open(change: object = {}): Promise<string> {
  const { facts, token } = await ownEnquiryForm(imke);
  await keepOwnEnquiryForm(imke, { ...facts, is_open: true, ...change });
  return token;
}

async function ask(token: string, more: Partial<{ from: string; isRobot: boolean; wait: number }> = {}) {
  const { time } = (await formToShow(token))!;
  const { wait = 5_000, from = '192.0.2.1', isRobot = false } = more;
  const later = after(wait);
  try {
    return await askByForm(token, ASKED, { time, from, isRobot });
  } finally {
    later.mockRestore();
  }
}

it('a form is closed until it is opened, and gone under its former address', async () => {
  const { facts, token } = await ownEnquiryForm(imke);
  expect(facts.is_open).toBe(false);
  expect(await formToShow(token)).toBeUndefined();
  await open();
  expect(await formToShow(token)).toMatchObject({ business: 'Larkfield Piano Care' });
  const { facts: now } = await ownEnquiryForm(imke);
  await keepOwnEnquiryForm(imke, now, true);
  expect(await formToShow(token)).toBeUndefined();
  expect(await askByForm(token, ASKED, { time: '', from: 'x', isRobot: false })).toEqual({ result: 'gone' });
});

it('what is asked stands among the enquiries once, as nobody’s, however often it is sent', async () => {
  const token = await open();
  const { time } = (await formToShow(token))!;
  const later = after(5_000);
  const sent = () => askByForm(token, ASKED, { time, from: '192.0.2.2', isRobot: false });
  const answers = await Promise.all([sent(), sent(), sent()]);
  later.mockRestore();
  expect(answers[0]).toEqual({
    result: 'taken',
    html: '<p>Thank you, Ottilie &lt;b&gt;Vane&lt;/b&gt;. Your message has arrived, and you will be answered.</p>',
  });
  const found = await enquiries();
  expect(found).toHaveLength(1);
  expect(found[0]).toMatchObject({
    client_id: null,
    status: 'waiting',
    wanted_on: ['2027-03-02', '2027-03-09'],
  });
});

it('a robot is thanked and left out; who waited for a day is asked to send it again', async () => {
  const token = await open();
  const before = (await enquiries()).length;
  expect(await ask(token, { isRobot: true })).toMatchObject({ result: 'taken' });
  expect(await ask(token, { wait: 100 })).toMatchObject({ result: 'taken' });
  expect(await askByForm(token, ASKED, { time: '17.x', from: 'x', isRobot: false })).toMatchObject({
    result: 'taken',
  });
  expect(await ask(token, { wait: 90_000_000 })).toEqual({ result: 'late' });
  expect(await enquiries()).toHaveLength(before);
});

it('so many are taken from one address within an hour', async () => {
  const token = await open();
  const results: string[] = [];
  for (let i = 0; i < 12; i++) results.push((await ask(token, { from: '192.0.2.9' })).result);
  expect(results).toEqual([...Array<string>(10).fill('taken'), 'too many', 'too many']);
  expect((await ask(token, { from: '192.0.2.10' })).result).toBe('taken');
});

it('what the owner has worded is said with their words in it, none of them as HTML', async () => {
  await connection().inBusiness(imke.business_id, () =>
    connection().models.passage.create({
      business_id: imke.business_id,
      id: '00000000-0000-4000-8000-00000000cafe',
      key: 'thanks',
      name: 'Thanks',
      document_schema: 1,
      document: {
        type: 'doc',
        content: [
          {
            type: 'paragraph',
            content: [
              { type: 'text', text: 'Dear ' },
              { type: 'field', attrs: { path: 'enquiry.name', steps: [] } },
              { type: 'text', text: ', you wrote: ' },
              { type: 'field', attrs: { path: 'enquiry.message', steps: [] } },
            ],
          },
        ],
      } as never,
    }),
  );
  const token = await open({ passage: 'thanks' });
  const { html } = (await ask(token, { from: '192.0.2.20' })) as { html: string };
  expect(html).toContain('Dear Ottilie &lt;b&gt;Vane&lt;/b&gt;, you wrote: The piano in the hall, please.');
  expect(html).not.toContain('<script');
});
