import { simpleParser } from 'mailparser';
import MailComposer from 'nodemailer/lib/mail-composer';
import { expect, it } from 'vitest';
import { attachmentsIn, contentOf } from './attachmentsIn';
import { Letters, type Letter } from './letters';
import { letterPage, listPage } from './page';

const letter = (to: string[], subject = 'Hello'): Omit<Letter, 'id'> => ({
  receivedAt: '2026-03-02T09:00:00Z',
  from: 'Imke <imke@larkfield.example>',
  envelopeFrom: 'imke@larkfield.example',
  to,
  subject,
  text: 'text',
  html: '<p>x</p>',
  headers: [{ name: 'subject', value: subject }],
  attachments: [{ name: '<script>.pdf', size: 3, sha256: '' }],
  raw: '',
});

it('each address has its own mailbox, whatever its case', () => {
  const letters = new Letters();
  letters.add(letter(['Oda@x.example', 'tom@x.example']));
  letters.add(letter(['tom@x.example']));
  expect(letters.addresses()).toEqual(['oda@x.example', 'tom@x.example']);
  expect([
    letters.list('ODA@x.example').length,
    letters.list('tom@x.example').length,
    letters.list().length,
  ]).toEqual([1, 2, 2]);
});

it('the oldest letters go first when there are too many', () => {
  const letters = new Letters();
  for (let i = 0; i < 1001; i++) letters.add(letter(['a@x.example'], `No ${i}`));
  expect(letters.list()).toHaveLength(1000);
  expect(letters.find(1)).toBeUndefined();
  expect(letters.find(1001)?.subject).toBe('No 1000');
});

it('the oldest letters go first when they are too long together, the newest never', () => {
  const letters = new Letters();
  const long = 'x'.repeat(150_000_000);
  for (const subject of ['1', '2']) letters.add({ ...letter(['a@x.example'], subject), raw: long });
  expect(letters.list().map(({ subject }) => subject)).toEqual(['2']);
});

it('what goes along is told apart from the pictures in the words', async () => {
  const { message } = await new Promise<{ message: string }>((resolve, reject) => {
    new MailComposer({
      text: 'x',
      html: '<img src="cid:a">',
      attachments: [
        { cid: 'a', content: Buffer.from('picture'), filename: 'a.png' },
        { content: 'Tuning 78', filename: 'Prices.txt' },
      ],
    })
      .compile()
      .build((error, built) => (error ? reject(error) : resolve({ message: built.toString() })));
  });
  expect(attachmentsIn(await simpleParser(message)).map(({ filename }) => filename)).toEqual(['Prices.txt']);
  expect((await contentOf(message, 0))?.content.toString()).toBe('Tuning 78');
  expect(await contentOf(message, 1)).toBeUndefined();
});

it('refusals are given out once each, to an address of their own where they have one', () => {
  const letters = new Letters();
  letters.refuseNext({ code: 450, words: 'later' }, 1);
  letters.refuseNext({ code: 550, words: 'never', to: 'b@x.example' }, 1);
  expect([
    letters.takeRefusal(['a@x.example'])?.words,
    letters.takeRefusal(['a@x.example'])?.words,
    letters.takeRefusal(['b@x.example'])?.words,
    letters.takeRefusal(['b@x.example'])?.words,
  ]).toEqual(['later', undefined, 'never', undefined]);
  letters.refuseNext({ code: 550, words: 'never' }, 1);
  letters.clear();
  expect(letters.takeRefusal(['a@x.example'])).toBeUndefined();
});

it('nothing that a letter says becomes a page’s markup', () => {
  const letters = new Letters();
  letters.add(letter(['<script>@x.example'], '<img src=x onerror=alert(1)>'));
  for (const page of [
    listPage(letters, undefined),
    listPage(letters, '<script>@x.example'),
    letterPage(letters.find(1)!, true),
  ]) {
    expect(page).not.toMatch(/<(?:script|img)/);
  }
  expect(letterPage(letters.find(1)!, true)).toContain('<iframe sandbox ');
});

it('a letter without HTML is seen by its words, and so is one of HTML beside its own', () => {
  const letters = new Letters();
  letters.add({ ...letter(['a@x.example']), text: 'Only words', html: '' });
  letters.add({ ...letter(['a@x.example']), text: 'Words beside' });
  const [words, html] = [letterPage(letters.find(1)!, false), letterPage(letters.find(2)!, false)];
  expect(words).toContain('<pre>Only words</pre>');
  expect(words).not.toContain('<iframe');
  expect(html).toContain('<pre>Words beside</pre>');
  expect(html).toContain('<iframe');
});

it('a circular can be ended on its page, and no other letter', () => {
  const letters = new Letters();
  const headers = [
    { name: 'list-unsubscribe', value: '<http://127.0.0.1/no-more>' },
    { name: 'list-unsubscribe-post', value: 'List-Unsubscribe=One-Click' },
  ];
  letters.add({ ...letter(['a@x.example']), headers });
  letters.add(letter(['a@x.example']));
  expect(letterPage(letters.find(1)!, false)).toContain('action="/letters/1/unsubscribe"');
  expect(letterPage(letters.find(2)!, false)).not.toContain('unsubscribe');
});
