import { describe, expect, it } from 'vitest';
import { proofOf, type Given } from '../test/proofOf';

const ids = (body: string, given: Given = {}) => proofOf(body, given).map(({ id }) => id);
const QUIET = { from: 'client:c1' };

describe('words that speak of what goes along, and nothing does', () => {
  it.each([
    'The invoice is attached.',
    'The invoice is enclosed once more.',
    'Please find attached our price list.',
    'See the attachment.',
    'I attach the plan.',
    'We enclose two photographs.',
    'I am attaching a picture.',
    'Anbei die Rechnung.',
    'Die Rechnung finden Sie im Anhang.',
    'Die beigefügte Rechnung',
    'Ich füge die Rechnung bei.',
    'Die Preisliste liegt bei.',
    'Vous trouverez la facture ci-jointe.',
    'La facture est en pièce jointe.',
    'Je joins deux photos.',
  ])('“%s” is a query', (words) => expect(ids(words, QUIET)).toContain('nothing attached'));

  it.each([
    'The rope is attached to the frame.',
    'We stand in the enclosed garden.',
    'I have not attached anything, as you asked.',
    'The semi-attached house',
    'The lid is closed.',
    'Wir hängen sehr an dem Flügel.',
    'Nichts ist nicht angehängt.',
    'Nous vous rejoignons lundi.',
  ])('“%s” is none', (words) => expect(ids(words, QUIET)).not.toContain('nothing attached'));

  it('is none when something does, and again one when that is left out', () => {
    const head = 'attach: [invoice pdf]\n';
    expect(ids('It is attached.', { head })).toEqual([]);
    expect(ids('It is attached.', { head, choices: { leftOut: ['invoice pdf'] } })).toEqual([
      'nothing attached',
    ]);
  });

  it('of an invoice has it attached in one press', () => {
    expect(proofOf('It is attached.')[0]).toMatchObject({
      cure: { words: 'Attach the invoice as PDF', attach: 'invoice pdf' },
      at: { line: 1, from: 6, to: 14 },
    });
    expect(ids('It is attached.', { choices: { papers: ['invoice pdf'] } })).toEqual([]);
  });
});

describe('what its writer adds without a word', () => {
  const id = '00000000-0000-4000-8000-000000000001';
  const choices = { added: [{ from: 'letter' as const, id, name: 'Pedals.jpg', size: 10 }] };
  it('is a query', () => {
    expect(proofOf('Hello', { choices }).map(({ message }) => message)).toEqual([
      '“Pedals.jpg” goes along, and the letter does not speak of it.',
    ]);
  });
  it('is none when it is spoken of, nor in a language whose words we do not have', () => {
    expect(ids('A picture is attached.', { choices })).toEqual([]);
    expect(
      ids('Hello', { choices, head: 'language: sv\n' }).filter((one) => !one.startsWith('lang')),
    ).toEqual([]);
  });
});

describe('links', () => {
  const linked = (words: string, address: string) =>
    proofOf(`[${words}](${address})`, QUIET).map(({ kind, message }) => `${kind}: ${message}`);

  it.each([
    ['the site', 'https://larkfield.example'],
    ['larkfield.example', 'https://www.larkfield.example/prices'],
    ['www.larkfield.example', 'https://larkfield.example/'],
    ['https://larkfield.example/say', 'https://larkfield.example/say'],
    ['office@larkfield.example', 'mailto:office@larkfield.example'],
    ['call us', 'tel:+441632960144'],
    ['write to us', 'mailto:office@larkfield.example?subject=Key'],
    ['e.g. this', 'https://larkfield.example'],
    ['bücher.example', 'https://xn--bcher-kva.example'],
  ])('“%s” to %s is in order', (words, address) => expect(linked(words, address)).toEqual([]));

  it.each([
    ['the site', 'https://larkfield', 'is not the whole name of a site'],
    ['write', 'mailto:office', 'is no email address'],
    ['write', 'mailto:a@x.example,nobody', 'is no email address'],
    ['call', 'tel:+4', 'is no telephone number'],
  ])('“%s” to %s is a stop', (words, address, why) => {
    expect(linked(words, address).join()).toMatch(new RegExp(`^stop: The link .*${why}`));
  });

  it.each([
    ['larkfield.example', 'https://larkf1eld.example', 'larkf1eld.example'],
    ['https://bank.example/pay', 'https://elsewhere.example/pay', 'elsewhere.example'],
    ['office@larkfield.example', 'mailto:offce@larkfield.example', 'offce@larkfield.example'],
    [
      'larkfield.example',
      'https://larkfield.example.elsewhere.example',
      'larkfield.example.elsewhere.example',
    ],
  ])('“%s” that leads to %s is a query', (words, address, leads) =>
    expect(linked(words, address)).toEqual([`query: The link shows “${words}” and leads to ${leads}.`]),
  );
});
