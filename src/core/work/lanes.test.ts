import { expect, it } from 'vitest';
import { inLanes } from './lanes';

const lanes = (...pieces: [number, number][]) =>
  inLanes(pieces.map(([from, until]) => ({ from, until }))).map(({ lane, lanes: of }) => `${lane}/${of}`);

it('what does not overlap has the whole width', () => {
  expect(lanes([0, 60], [60, 90], [120, 130])).toEqual(['0/1', '0/1', '0/1']);
});

it('what overlaps stands side by side, in as few lanes as it takes', () => {
  expect(lanes([0, 60], [30, 90])).toEqual(['0/2', '1/2']);
  // The third takes the lane that is free again; all that hang together are as wide.
  expect(lanes([0, 60], [30, 120], [60, 90])).toEqual(['0/2', '1/2', '0/2']);
  expect(lanes([0, 60], [0, 60], [0, 60], [60, 70])).toEqual(['0/3', '1/3', '2/3', '0/1']);
});

it('nothing is nothing', () => expect(lanes()).toEqual([]));
