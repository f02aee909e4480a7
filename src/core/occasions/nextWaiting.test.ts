import { expect, it } from 'vitest';
import type { Act } from '../template/acts';
import { nextWaiting, type WaitingCard } from './nextWaiting';

const card = (act: Act, key: string, more: Partial<WaitingCard> = {}): WaitingCard => ({
  act,
  start: { kind: act === 'invoice overdue' ? 'invoice' : 'booking', key },
  template: { key: act, name: act },
  ...more,
});
const CARDS = [
  card('invoice overdue', 'i1'),
  card('visit ahead', 'b1'),
  card('invoice overdue', 'i2', { whose: 'Teo Marsh' }),
  card('invoice overdue', 'i3'),
  card('visit ahead', 'b2'),
];
const keyAfter = (after: string, cards = CARDS) => nextWaiting(cards, after)?.start.key;

it('those of one act come one after the other, then the others, then what was passed over', () => {
  expect(keyAfter('invoice:i1')).toBe('i3');
  expect(keyAfter('invoice:i3')).toBe('b1');
  expect(keyAfter('booking:b1')).toBe('b2');
  expect(keyAfter('booking:b2', CARDS.slice(3))).toBe('i3');
  expect(keyAfter('invoice:i3', [CARDS[0]!, CARDS[3]!])).toBe('i1');
});

it('after a letter that nothing is due for, the first', () => {
  expect(keyAfter('client:oda')).toBe('i1');
});

it('nobody else’s, nothing without a letter, and never the same again', () => {
  expect(keyAfter('booking:b1', [CARDS[1]!, CARDS[2]!])).toBeUndefined();
  const { template: _, ...without } = card('visit ahead', 'b9');
  expect(keyAfter('client:oda', [without])).toBeUndefined();
  expect(keyAfter('client:oda', [])).toBeUndefined();
});

it('a whole run reaches each once when each is sent', () => {
  let cards = CARDS.filter(({ whose }) => whose === undefined);
  const order: string[] = [];
  let at = 'invoice:i1';
  while (cards.length) {
    const next = nextWaiting(cards, at);
    cards = cards.filter(({ start }) => `${start.kind}:${start.key}` !== at);
    order.push(at);
    if (next) at = `${next.start.kind}:${next.start.key}`;
  }
  expect(order).toEqual(['invoice:i1', 'invoice:i3', 'booking:b1', 'booking:b2']);
});
