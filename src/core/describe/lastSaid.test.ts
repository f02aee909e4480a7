import { expect, it } from 'vitest';
import { lastSaid, type SaidMessage } from './lastSaid';

const dayOf = (moment: number) => `on day ${moment}`;
const OUT: SaidMessage = {
  subject: 'First reminder',
  at: 10,
  who: ['Oda Hartigan'],
  by: 'Runa Sand',
  status: 'sent',
};
const IN: SaidMessage = { subject: 'Re: First reminder', at: 12, who: ['Oda Hartigan'], status: 'received' };

it.each([
  [{}, undefined],
  [{ out: OUT }, 'Last written on day 10 by Runa Sand: “First reminder” to Oda Hartigan.'],
  [
    { out: { ...OUT, status: 'bounced' } },
    'Last written on day 10 by Runa Sand: “First reminder” to Oda Hartigan, which came back.',
  ],
  [
    { out: OUT, in: IN },
    'Last written on day 10 by Runa Sand: “First reminder” to Oda Hartigan. Oda Hartigan wrote on day 12: “Re: First reminder”.',
  ],
  // What they wrote before that has been answered.
  [
    { out: OUT, in: { ...IN, at: 9 } },
    'Last written on day 10 by Runa Sand: “First reminder” to Oda Hartigan.',
  ],
  [{ in: { ...IN, subject: '', who: [] } }, 'They wrote on day 12: a message without a subject.'],
])('%j', (messages, words) => {
  expect(lastSaid(messages, dayOf)).toBe(words);
});
