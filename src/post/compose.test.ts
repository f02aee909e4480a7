import { parseMail } from '@protontech/jsmimeparser';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compose, type OutgoingLetter } from './compose';

const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

const letter = (more: Partial<OutgoingLetter> = {}): OutgoingLetter => ({
  date: new Date('2026-11-25T09:00:00Z'),
  from: { name: 'Imke Sandoval', address: 'imke@larkfield.example' },
  to: [{ name: 'Oda Hartigan', address: 'oda@hartigan.example' }],
  copies: [],
  subject: 'Invoice K-101',
  text: 'Hello Oda,\n\nhere it is.\n',
  html: '<p>Hello Oda,</p><p>here it is.</p>',
  language: 'en-GB',
  pictures: new Map(),
  ...more,
});

const bytesOf = (more: Partial<OutgoingLetter> = {}) => compose(letter(more)).toString('latin1');

/** What a parser that shares nothing with the composer reads. */
const read = (more: Partial<OutgoingLetter> = {}) => parseMail(compose(letter(more)).toString('utf8'));

/** Each header as it stands, its folds with it. */
function headersOf(raw: string): string[] {
  return raw.slice(0, raw.indexOf('\r\n\r\n')).split(/\r\n(?![ \t])/);
}

describe('a message', () => {
  it('has every header that RFC 5322 asks for, once', () => {
    const names = headersOf(
      bytesOf({
        messageId: '<1@larkfield.example>',
        replyTo: [{ name: '', address: 'office@larkfield.example' }],
      }),
    )
      .map((header) => header.slice(0, header.indexOf(':')).toLowerCase())
      .sort();
    expect(names).toEqual(
      ['content-type', 'date', 'from', 'message-id', 'mime-version', 'reply-to', 'subject', 'to'].sort(),
    );
  });

  it('names the messages of its thread, the one that it answers last', () => {
    const headers = headersOf(bytesOf({ thread: ['a@x.example', 'b@x.example'] }));
    expect(headers).toContain('In-Reply-To: <b@x.example>');
    expect(headers).toContain('References: <a@x.example> <b@x.example>');
  });

  it('has the words that it answers below, as theirs', () => {
    const quoted = 'On 22 November, Oda wrote:\n\nIs it <full>?\n\nOda';
    const { body } = read({ quoted });
    expect(body.text?.replaceAll(' \n', '\n')).toContain(
      'here it is.\n\n\nOn 22 November, Oda wrote:\n> Is it <full>?\n>\n> Oda',
    );
    expect(body.html).toContain(
      '<p>On 22 November, Oda wrote:</p><blockquote type="cite">Is it &lt;full&gt;?<br><br>Oda</blockquote>',
    );
  });

  it('is read by another parser as it was written', () => {
    const mail = read({ copies: [{ name: 'Accounts', address: 'accounts@college.example' }] });
    expect(mail.subject).toBe('Invoice K-101');
    expect(mail.from).toMatchObject({ name: 'Imke Sandoval', email: 'imke@larkfield.example' });
    expect(mail.to).toMatchObject([{ name: 'Oda Hartigan', email: 'oda@hartigan.example' }]);
    expect(mail.cc).toMatchObject([{ name: 'Accounts', email: 'accounts@college.example' }]);
    expect(mail.date?.toISOString()).toBe('2026-11-25T09:00:00.000Z');
    expect(mail.body.text?.trim()).toBe('Hello Oda,\n\nhere it is.');
    expect(mail.body.html?.trim()).toContain('<body><p>Hello Oda,</p><p>here it is.</p></body>');
    expect(mail.body.html).toMatch(
      /^<!DOCTYPE html>\n<html lang="en-GB" dir="ltr">\n<head>.*<title>.+<\/title>/,
    );
  });

  it('keeps names and subjects of any language', () => {
    const names = [
      'Tomás Ó Briain',
      'Józef Łukasiewicz-Żak',
      '佐藤 さくら',
      'Quist, Mags "the bold"',
      'Dr. de la Cruz',
    ];
    for (const name of names) {
      const mail = read({
        from: { name, address: 'a@x.example' },
        to: [{ name, address: 'b@x.example' }],
        subject: `Größe: ${name} — 20 °C`,
      });
      expect(mail.from?.name).toBe(name);
      expect(mail.to?.[0]?.name).toBe(name);
      expect(mail.subject).toBe(`Größe: ${name} — 20 °C`);
    }
  });

  it('folds a long subject and gives it back in one line', () => {
    const subject = 'Ihr Flügel — ' + 'ein sehr langer Betreff mit vielen Wörtern '.repeat(8).trim();
    const raw = bytesOf({ subject });
    for (const line of raw.split('\r\n')) expect(line.length).toBeLessThanOrEqual(998);
    for (const line of headersOf(raw).join('\r\n').split('\r\n')) expect(line.length).toBeLessThanOrEqual(78);
    expect(read({ subject }).subject).toBe(subject);
  });

  it('takes no header from a line break in a value', () => {
    for (const end of ['\n', '\r\n', '\r', '\u2028']) {
      const evil = `x${end}Bcc: thief@x.example${end}${end}<b>`;
      const raw = bytesOf({
        subject: evil,
        from: { name: evil, address: 'imke@larkfield.example' },
        to: [{ name: evil, address: 'oda@hartigan.example' }],
        replyTo: [{ name: evil, address: `office@larkfield.example${end}Bcc: thief@x.example` }],
      });
      expect(headersOf(raw).filter((header) => /^bcc:/i.test(header))).toEqual([]);
    }
  });

  it('has no bare line breaks and no line over 998 bytes, whatever its text', () => {
    const raw = bytesOf({
      text: `a\nb\r${'x'.repeat(3000)}\n${'ü'.repeat(2000)}\n`,
      html: `<p>${'y'.repeat(5000)}</p>`,
    });
    expect(/[\r\n]/.test(raw.replaceAll('\r\n', ''))).toBe(false);
    for (const line of raw.split('\r\n')) expect(line.length).toBeLessThanOrEqual(998);
  });

  it('comes back the same for any text', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 400 }), (words) => {
        // Control characters and unpaired halves are none of a letter's.
        const text = words.replace(/[\p{Cc}\p{Cs}]/gu, ' ').trim();
        const mail = read({ html: `<p>${text.replaceAll('&', '&amp;').replaceAll('<', '&lt;')}</p>` });
        expect(mail.body.html).toContain(text.replaceAll('&', '&amp;').replaceAll('<', '&lt;'));
      }),
      { numRuns: 200 },
    );
  });
});

describe('the text part', () => {
  it('flows, with the signature behind its line', () => {
    const long =
      'a word and another one, which goes on until the line is longer than any line may be in a mail.';
    const text = `Hello Oda,\n\n${long}\n\nImke Sandoval\nPiano technician\n`;
    const raw = bytesOf({ text, signatureAt: text.indexOf('Imke') });
    expect(raw).toMatch(/Content-Type: text\/plain; charset=utf-8; format=flowed/i);
    expect(raw).toContain('\r\n--=20\r\nImke Sandoval\r\n');
    expect(raw.replaceAll('=\r\n', '')).toContain('longer than any=20\r\nline may be in a mail.');
    const mail = read({ text, signatureAt: text.indexOf('Imke') });
    expect(mail.body.text).toContain('-- \nImke Sandoval\nPiano technician');
  });
});

describe('pictures', () => {
  const html = (source: string) =>
    `<p><img src="${source}" alt="Larkfield" width="120" style="border:0"></p>`;

  it('come with the letter', () => {
    const mail = read({
      html: html('abc'),
      pictures: new Map([['abc', { type: 'image/png', content: PNG }]]),
    });
    expect(mail.body.html).toContain('<img src="cid:picture-1@letter" alt="Larkfield"');
    expect(mail.attachments).toHaveLength(1);
    expect(mail.attachments[0]).toMatchObject({ contentType: 'image/png', contentDisposition: 'inline' });
    expect(Buffer.from(mail.attachments[0]!.content).equals(PNG)).toBe(true);
  });

  it('that are not there are their description', () => {
    const mail = read({ html: html('abc') });
    expect(mail.body.html).toContain('<p>Larkfield</p>');
    expect(mail.attachments).toEqual([]);
  });
});
