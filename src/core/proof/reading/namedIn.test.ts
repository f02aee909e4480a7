import { describe, expect, it } from 'vitest';
import type { CopyDocument } from '../../document/copyDocument';
import { SAMPLE } from '../../fill/test/fillSample';
import { RecordBook } from '../../records/recordBook';
import { situationFrom } from '../../records/which/situation';
import { isAnythingToLookUp } from '../../writing/isAnythingToLookUp';
import { namedIn } from './namedIn';
import { linesOf } from './lines';

const book = new RecordBook(SAMPLE, Date.parse('2026-03-02T09:00:00Z'));
const situation = situationFrom(book, { kind: 'invoice', key: 'K-101' }, { sender: SAMPLE.members![0]! })!;

function named(words: string) {
  const document: CopyDocument = {
    type: 'doc',
    content: [
      { type: 'subject', content: [] },
      { type: 'paragraph', content: [{ type: 'text', text: words }] },
    ],
  };
  return namedIn(linesOf(document), situation);
}

describe('what in a letter may be another client’s', () => {
  it.each([
    ['as with Bram Tolliver last week', ['Bram Tolliver']],
    ['for Marta de la Cruz', ['Marta de la Cruz']],
    ['with Joost van der Meulen.', ['Joost van der Meulen']],
    ['Caoimhe Ó Briain', ['Caoimhe Ó', 'Caoimhe Ó Briain', 'Ó Briain']],
    ['The Low Cellar', ['The Low', 'The Low Cellar', 'Low Cellar']],
    ['Padraig O’Connell', ['Padraig O’Connell']],
    ['only Oda, or Tuesday', []],
    ['it is. Then Bram came', ['Then Bram']],
    ['as Oda Hartigan knows', []],
    ['Imke Sandoval comes', []],
  ])('names: “%s”', (words, names) => expect(named(words).names.sort()).toEqual([...names].sort()));

  it('addresses, numbers, streets and invoices', () => {
    expect(
      named('Write to bram@tolliver.example or ring 01632 960-777; at 5 Weir Cottages; see LPC-1048.'),
    ).toMatchObject({
      emails: ['bram@tolliver.example'],
      phones: ['01632 960-777'],
      streets: ['5 Weir Cottages'],
      invoices: ['LPC-1048'],
    });
  });

  it('but not the client’s own, nor the house’s, however they are written', () => {
    const own = named(
      'oda@hartigan.example, Office@larkfield.example, +44 1632 960101, 01632 960144, 4 Chandlers Row, 6 Quay Lane, K-101',
    );
    expect(own).toMatchObject({ emails: [], phones: [], streets: [], invoices: [] });
    expect(isAnythingToLookUp({ ...named('Oda Hartigan, of K-101'), days: [] })).toBe(false);
  });

  it('dates and sums are no telephone numbers', () => {
    expect(named('on 03/03/2026, over 1,234,567.50, or 2026-03-03').phones).toEqual([]);
  });
});
