import { describe, expect, it } from 'vitest';
import { wordsOfSignature } from '../template/wordsOfSignature';
import { readPassage } from '../template/text/readTemplate';
import { fillSample } from './test/fillSample';

const BODY = 'Kind regards\n\n{{signature}}\n';
const OWN =
  '**Imke** Sandoval\\\n[larkfield.example](https://larkfield.example)\n\n![The lark](lark.png){width=90}';
const HOUSE = '{{sender.full_name}}\\\n{{business.name}} · {{sender.mobile}}';
const teo = { key: 'teo', full_name: 'Teo Marsh' };

describe('a signature', () => {
  it('is the usual one of whoever writes, with its looks, links and pictures', () => {
    const { html, text, signatureAt } = fillSample(BODY, { signatures: { imke: OWN, house: HOUSE } });
    expect(text.slice(signatureAt)).toBe(
      'Imke Sandoval\nlarkfield.example (https://larkfield.example)\n\nThe lark\n',
    );
    expect(html).toContain('<strong>Imke</strong> Sandoval<br><a href="https://larkfield.example">');
    expect(html).toContain('<img src="lark.png" alt="The lark" width="90"');
  });

  it('is the house’s for whoever has none, filled with them', () => {
    const signatures = { imke: OWN, house: HOUSE };
    const sender = { ...teo, mobile: '07700 900145' };
    const { text, notes } = fillSample(BODY, { signatures, wishes: { sender } });
    expect(text).toBe('Kind regards\n\nTeo Marsh\nLarkfield Piano Care · 07700 900145\n');
    const [note] = notes.filter(({ path }) => path === 'signature');
    expect(note).toMatchObject({
      value: 'Teo Marsh Larkfield Piano Care · 07700 900145',
      reason: 'the house’s, for whoever has none of their own',
    });
  });

  it('has holes as other words have', () => {
    const { text, holes } = fillSample(BODY, { signatures: { house: HOUSE }, wishes: { sender: teo } });
    expect(text).toBe('Kind regards\n\nTeo Marsh\nLarkfield Piano Care · [sender mobile]\n');
    expect(holes.map(({ path, reason }) => [path, reason])).toEqual([
      ['sender.mobile', 'The member Teo Marsh has no mobile.'],
    ]);
  });

  it('is what is known of whoever writes where nobody has one, and nothing where the head says so', () => {
    expect(fillSample(BODY).text).toBe(
      'Kind regards\n\nImke Sandoval\nLarkfield Piano Care\n07700 900144\nimke@larkfield.example\n',
    );
    const signatures = { imke: OWN };
    expect(fillSample(BODY, { signatures, head: 'signature: none\n' }).text).toBe('Kind regards\n');
  });

  it('changes no other name in the letter', () => {
    const body = `${BODY}\nPS: {{client.name}}\n`;
    const idOf = (signatures: Record<string, string>) =>
      fillSample(body, { signatures }).notes.find(({ path }) => path === 'client.name')!.id;
    expect(idOf({ imke: HOUSE, house: HOUSE })).toBe(idOf({}));
    expect(idOf({ imke: OWN })).toBe(idOf({}));
  });

  it('tells its facts apart from the rows of a listing, whose names have a stop in them', () => {
    const { notes } = fillSample(BODY, { signatures: { imke: HOUSE } });
    const facts = notes.filter(({ path }) => path !== 'signature');
    expect(facts.map(({ said }) => said)).toEqual(['name', 'name', 'mobile']);
    for (const { id } of facts) expect(id).not.toContain('.');
  });

  it('is found anew in every letter and every part of it', () => {
    const body = '{{#client.items}}\n{{name}}: {{signature}}\n\n{{/client.items}}\n';
    const { text } = fillSample(body, { signatures: { imke: '{{sender.full_name}}' } });
    expect(text).toBe('the upright: Imke Sandoval\n\nthe grand: Imke Sandoval\n');
  });

  it('is said as a fact in its own words', () => {
    expect(wordsOfSignature(readPassage(OWN, 'own.md', 'own').value!.document)).toBe(
      'Imke Sandoval\nlarkfield.example',
    );
  });
});
