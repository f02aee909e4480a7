import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ownWords, partsOfMail } from './ownWords';

const lines = (...all: string[]) => all.join('\n');
const letter = ['> Hello Oda,', '> we come on Friday.', '> Imke'];

describe('what somebody wrote, apart from what they quoted', () => {
  it.each([
    ['English', 'On Fri, 27 Nov 2026 at 09:12, Imke Sandoval <imke@larkfield.example> wrote:'],
    ['British', 'On 27/11/2026 09:12, Imke Sandoval wrote:'],
    ['German', 'Am 27.11.2026 um 09:12 schrieb Imke Sandoval <imke@larkfield.example>:'],
    ['French', 'Le ven. 27 nov. 2026 à 09:12, Imke Sandoval <imke@larkfield.example> a écrit :'],
    ['Spanish', 'El vie, 27 nov 2026 a las 9:12, Imke Sandoval (<imke@larkfield.example>) escribió:'],
    [
      'Italian',
      'Il giorno ven 27 nov 2026 alle ore 09:12 Imke Sandoval <imke@larkfield.example> ha scritto:',
    ],
    ['Dutch', 'Op vr 27 nov. 2026 om 09:12 schreef Imke Sandoval <imke@larkfield.example>:'],
    ['Swedish', 'Den fre 27 nov. 2026 kl 09:12 skrev Imke Sandoval <imke@larkfield.example>:'],
    ['name first', '27 Nov 2026, 09:12, Imke Sandoval wrote:'],
  ])('below a line that says who wrote it: %s', (_, attribution) => {
    const answer = lines('Yes please!', '', 'Oda', '', attribution, '', ...letter);
    expect(ownWords(answer)).toEqual({
      own: 'Yes please!\n\nOda',
      quoted: lines(attribution, '', ...letter),
    });
    // The same without signs before the lines, and broken in two.
    const at = attribution.lastIndexOf(' ', attribution.length - 12);
    const broken = lines(attribution.slice(0, at), attribution.slice(at + 1));
    expect(ownWords(lines('Yes please!', '', broken, ...letter)).own).toBe('Yes please!');
    expect(ownWords(lines('Yes please!', '', attribution, '', 'Hello Oda,', 'we come on Friday.')).own).toBe(
      'Yes please!',
    );
  });

  it.each([
    lines(
      '-----Original Message-----',
      'From: Imke Sandoval',
      'Sent: Friday',
      'To: Oda',
      'Subject: Your visit',
    ),
    lines(
      '________________________________',
      'From: Imke Sandoval <imke@x.example>',
      'Sent: Friday',
      'To: Oda',
      'Subject: Visit',
    ),
    lines('Von: Imke Sandoval', 'Gesendet: Freitag', 'An: Oda', 'Betreff: Termin'),
    lines('*From:* Imke Sandoval', '*Date:* Friday', '*To:* Oda', '*Subject:* Your visit'),
    lines('De : Imke Sandoval', 'Envoyé : vendredi', 'À : Oda', 'Objet : Visite'),
    lines('---------- Forwarded message ---------', 'From: Imke'),
    lines('-------- Ursprüngliche Nachricht --------', 'Betreff: Termin'),
  ])('below the head of the message before: %j', (head) => {
    expect(ownWords(lines('Fine by me.', '', head, '', 'Hello Oda,', '', 'we come on Friday.'))).toEqual({
      own: 'Fine by me.',
      quoted: lines(head, '', 'Hello Oda,', '', 'we come on Friday.'),
    });
  });

  it('a line right above is no part of it', () => {
    expect(ownWords(lines('Yes please!', 'On Friday Imke wrote:', ...letter)).own).toBe('Yes please!');
  });

  it('answers between quoted lines stay in their places', () => {
    expect(
      partsOfMail(lines('> Is Friday right?', 'Yes.', '', '> And the key?', 'Under the mat.', '', 'Oda')),
    ).toEqual([
      { quoted: true, text: '> Is Friday right?' },
      { quoted: false, text: 'Yes.' },
      { quoted: true, text: '> And the key?' },
      { quoted: false, text: 'Under the mat.\n\nOda' },
    ]);
  });

  it('an answer below what it answers', () => {
    expect(ownWords(lines('On Friday Imke wrote:', ...letter, '', 'Yes please!')).own).toBe('Yes please!');
  });

  it.each([
    'On Friday I wrote: is there a key?',
    'On Friday I wrote:\n\nis there a key?',
    'From: now on I shall ring first.',
    'To: my mind it is fine.',
    'He said it like this:\n\nnever.',
    'I wrote down what I need:\n- felt\n- wire',
    'On Monday I wrote down what I need:\n- felt\n- wire',
    'Am Montag schrieb ich, was fehlt:\nFilz',
    'Am Freitag bin ich da.',
    'a > b is all I know',
    '',
  ])('words that only look like it are its writer’s: %j', (text) => {
    expect(ownWords(text)).toEqual({ own: text, quoted: '' });
  });

  it('loses nothing', () => {
    const line = fc.constantFrom(
      ...letter,
      'Yes.',
      '',
      'On Friday Imke wrote:',
      '-----Original Message-----',
      'From: Imke',
      'Sent: x',
      'To: y',
      '_____',
    );
    fc.assert(
      fc.property(fc.array(line, { maxLength: 30 }), (all) => {
        const words = (text: string) => text.split('\n').filter((one) => one.trim());
        expect(partsOfMail(lines(...all)).flatMap(({ text }) => words(text))).toEqual(words(lines(...all)));
      }),
    );
  });
});
