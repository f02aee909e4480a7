import { describe, expect, it } from 'vitest';
import { clashesOf, type Slot } from './clashes';

const at = (hour: number, minute = 0) => Date.UTC(2026, 2, 3, hour, minute);
const slot = (from: number, until: number, more: Partial<Slot> = {}): Slot => ({
  starts: from,
  ends: until,
  member: 'teo',
  client: 'hartigan',
  items: [],
  ...more,
});
const kinds = (wanted: Slot, others: Slot[], travel = 20) =>
  clashesOf(wanted, others, travel).map(({ kind, minutes }) => [kind, minutes]);

describe('what stands in the way of a booking', () => {
  const wanted = slot(at(10), at(11, 30));

  it('the same member at the same time, by however little', () => {
    expect(kinds(wanted, [slot(at(11, 29), at(12), { client: 'reyes' })])).toEqual([['member', 0]]);
    expect(kinds(wanted, [slot(at(9), at(13), { client: 'reyes' })])).toEqual([['member', 0]]);
    expect(kinds(wanted, [slot(at(10, 30), at(10, 45), { client: 'reyes' })])).toEqual([['member', 0]]);
  });

  it('not what only touches, but for the way there', () => {
    const next = slot(at(11, 30), at(12), { client: 'reyes' });
    expect(kinds(wanted, [next], 0)).toEqual([]);
    expect(kinds(wanted, [next], 20)).toEqual([['travel', 0]]);
    expect(kinds(wanted, [slot(at(11, 50), at(12), { client: 'reyes' })], 20)).toEqual([]);
    expect(kinds(wanted, [slot(at(9), at(9, 41), { client: 'reyes' })], 20)).toEqual([['travel', 19]]);
    // Two visits one after the other at one client need no way.
    expect(kinds(wanted, [slot(at(11, 30), at(12))], 20)).toEqual([]);
  });

  it('the same thing at the same time, whoever does it', () => {
    const tuned = slot(at(10), at(11), { items: ['upright'] });
    expect(kinds(tuned, [slot(at(10, 30), at(12), { member: 'imke', items: ['grand', 'upright'] })])).toEqual(
      [['item', 0]],
    );
    // Keys of things are a client's own.
    expect(
      kinds(tuned, [slot(at(10, 30), at(12), { member: 'imke', client: 'reyes', items: ['upright'] })]),
    ).toEqual([]);
  });

  it('another member is none; one that is not said may be anyone', () => {
    expect(kinds(wanted, [slot(at(10), at(11), { member: 'imke', client: 'reyes' })])).toEqual([]);
    expect(kinds(wanted, [slot(at(10), at(11), { member: undefined, client: 'reyes' })])).toEqual([
      ['unsaid', 0],
    ]);
    expect(kinds(slot(at(10), at(11), { member: undefined }), [slot(at(10), at(11))])).toEqual([
      ['unsaid', 0],
    ]);
    // Nobody can say how far it is for someone who is not said.
    expect(kinds(wanted, [slot(at(11, 30), at(12), { member: undefined, client: 'reyes' })])).toEqual([]);
  });
});
