import { describe, expect, it } from 'vitest';
import type { CopyBlock, CopyNode } from '../document/copyDocument';
import { eachNode, wordsOf } from '../document/eachNode';
import { readCopy } from '../document/readDocument';
import type { RecordsFile } from '../records/recordsFile';
import { readPassage, readTemplate } from '../template/text/readTemplate';
import { ownBlank, wordsOfOwnBlank } from './ownBlank';
import { unfold } from './unfold';
import { WritingDesk } from './writingDesk';

const RECORDS: RecordsFile = {
  business: { name: 'Larkfield Piano Care', time_zone: 'Europe/London', booking_label: 'visit' },
  members: [{ key: 'imke', given_name: 'Imke', email: 'imke@larkfield.example' }],
  clients: [{ key: 'oda', name: 'Oda Hartigan', email: 'oda@hartigan.example' }],
  bookings: [{ key: 'b1', client: 'oda', service: 'Tuning', starts_at: '2026-12-03T09:30:00Z' }],
};
const source = '---\nname: T\ngroup: G\nstarts from: booking\nsubject: S\nlanguage: de-DE\n---\nHello\n';
const desk = new WritingDesk({
  records: RECORDS,
  now: Date.UTC(2026, 10, 25, 9),
  templates: [{ ...readTemplate(source, 't').value!, key: 't', version: 1 }],
  passages: [],
  signatures: [],
  member: 'imke',
});
const START = { kind: 'booking', key: 'b1' } as const;

function said(body: string, start: Parameters<typeof unfold>[1] = START): CopyBlock[] | string {
  let number = 0;
  const { document } = readPassage(body, 'p', 'p').value!;
  return unfold(desk, start, { template: 't', answers: {} }, { name: 'x', document }, () => ++number);
}
const inWords = (body: string, start?: Parameters<typeof unfold>[1]) => {
  const blocks = said(body, start);
  return typeof blocks === 'string' ? blocks : blocks.map((block) => wordsOf(block)).join(' / ');
};
const holesOf = (blocks: CopyBlock[]) =>
  blocks.flatMap((block) =>
    [...eachNode(block as CopyNode)].flatMap((node) => (node.type === 'hole' ? [node.attrs] : [])),
  );

describe('a shorthand in a letter', () => {
  it('says facts in the letter’s language, as typed words', () => {
    const blocks = said(
      'Bis **{{booking.starts_at | long date}}**,\n[hier](https://x.example)!\n\n- eins\n- zwei',
    ) as CopyBlock[];
    expect(blocks.map((block) => wordsOf(block))).toEqual([
      'Bis Donnerstag, 3. Dezember 2026, hier!',
      'einszwei',
    ]);
    const marks = new Set(
      blocks.flatMap((block) =>
        [...eachNode(block)].flatMap((node) =>
          'marks' in node && node.marks ? node.marks.map(({ type }) => type) : [],
        ),
      ),
    );
    expect([...marks].sort()).toEqual(['bold', 'link']);
    expect(JSON.stringify(blocks)).not.toContain('origin');
    // What a letter may contain, and nothing else.
    const letter = { type: 'doc', content: [{ type: 'subject', content: [] }, ...blocks] };
    expect(readCopy(letter)).toEqual(letter);
  });

  it('asks its blanks there, once each by what they are; a default stands', () => {
    const blocks = said(
      'From {{? Rate : money}} to {{? Rate | whole money}}, on {{? Day : date}} or {{? Time : text = "noon"}}',
    ) as CopyBlock[];
    expect(wordsOf(blocks[0]!)).toBe('From Rate to Rate, on Day or noon');
    const holes = holesOf(blocks);
    expect(holes.map(({ kind, label }) => [kind, label])).toEqual([
      ['blank', 'Rate'],
      ['blank', 'Rate'],
      ['blank', 'Day'],
    ]);
    expect(new Set(holes.map(({ id }) => id)).size).toBe(3);
    const answer = (i: number, typed: string) =>
      wordsOfOwnBlank(ownBlank(holes[i]!.id)!, typed, desk, desk.situation(START)!, undefined);
    expect(answer(0, '65')).toEqual({ words: '£65.00' });
    expect(answer(1, '65')).toEqual({ words: '£65' });
    expect(answer(2, '3 Dec')).toEqual({ words: '3 December 2026' });
    expect(answer(2, 'soon')).toHaveProperty('expected');
  });

  it('has a hole where a fact is missing, or its record is none of the letter’s', () => {
    expect(inWords('Call {{client.phone}}')).toBe('Call client phone');
    expect(inWords('Invoice {{enquiry.message}}.', { kind: 'client', key: 'oda' })).toBe(
      'Invoice enquiry message.',
    );
    const blocks = said('{{client.phone}}') as CopyBlock[];
    expect(holesOf(blocks)).toMatchObject([{ kind: 'gap', id: 'shorthand 1' }]);
  });

  it('says why it cannot stand there', () => {
    expect(inWords('{{#when client.shoe_size over 3}}x{{/when}}')).toContain('“x” cannot stand here');
    expect(inWords('x', { kind: 'booking', key: 'gone' })).toContain('no longer there');
  });
});

it('an id of a template’s own blank, or of anything else, asks nothing by itself', () => {
  for (const id of ['t:3', '', '{{client.name}} 1', '{{? }} 1', '{{? Rate : money}}', 'shorthand 1'])
    expect(ownBlank(id)).toBeUndefined();
});
