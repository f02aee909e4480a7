import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { roomOnDay, whoHasRoom, type Piece } from './roomOnDay';

const HOUR = 3_600_000;
const at = (from: number, until: number): Piece => ({ starts: from * HOUR, ends: until * HOUR });
const hours = (room: readonly Piece[]) => room.map(({ starts, ends }) => [starts / HOUR, ends / HOUR]);
const DAY = at(8, 18);

describe('the room on a day', () => {
  const room = (taken: readonly Piece[], minutes = 90, travel = 30) =>
    hours(roomOnDay(DAY, taken, { minutes, travel }));

  it.each<[string, Piece[], number[][]]>([
    ['is all of it where nothing is taken', [], [[8, 18]]],
    [
      'is what is left before and behind, without the ways',
      [at(11, 12)],
      [
        [8, 10.5],
        [12.5, 18],
      ],
    ],
    ['is nothing where too little is left', [at(9.75, 16)], [[16.5, 18]]],
    ['counts both ways between two', [at(8, 10), at(12.5, 17)], [[10.5, 12]]],
    ['is not between two that are too near', [at(8, 10), at(12.25, 17)], []],
    ['is none where all is taken, whatever reaches beyond', [at(-24, 48)], []],
    ['is not lost by what overlaps, nor by its order', [at(14, 15), at(9, 14.5), at(9, 10)], [[15.5, 18]]],
    ['is not touched by what is on another day', [at(-3, -1), at(26, 28)], [[8, 18]]],
  ])('%s', (_, taken, expected) => expect(room(taken)).toEqual(expected));

  it('of a visit that is longer than the day is all of it or nothing', () => {
    expect(room([], 3000)).toEqual([[8, 18]]);
    expect(room([at(17, 18)], 3000, 0)).toEqual([]);
  });

  it('is none on a day that is over', () =>
    expect(roomOnDay(at(9, 9), [], { minutes: 60, travel: 0 })).toEqual([]));

  it('is never within what is taken or on the way from it, and is long enough', () => {
    const piece = fc
      .tuple(fc.integer({ min: -10, max: 40 }), fc.integer({ min: 1, max: 30 }))
      .map(([from, length]) => at(from / 2, (from + length) / 2));
    fc.assert(
      fc.property(
        fc.array(piece, { maxLength: 6 }),
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 0, max: 60 }),
        (taken, minutes, travel) => {
          for (const one of roomOnDay(DAY, taken, { minutes, travel })) {
            expect(one.ends - one.starts).toBeGreaterThanOrEqual(minutes * 60_000);
            expect(one.starts >= DAY.starts && one.ends <= DAY.ends).toBe(true);
            const way = travel * 60_000;
            for (const other of taken)
              expect(one.ends + way <= other.starts || other.ends + way <= one.starts).toBe(true);
          }
        },
      ),
    );
  });
});

it('who has room is told with when, and what is nobody’s yet may be anybody’s', () => {
  const taken = [{ ...at(8, 17), member: 'teo' }, at(10, 11)];
  const found = whoHasRoom(['imke', 'teo'], DAY, taken, { minutes: 60, travel: 0 });
  expect(found.map(({ member, room }) => [member, hours(room)])).toEqual([
    [
      'imke',
      [
        [8, 10],
        [11, 18],
      ],
    ],
    ['teo', [[17, 18]]],
  ]);
});
