import { expect, it } from 'vitest';
import { Turns } from './turns';

it('no more than so many do something at once, in their order, whatever fails', async () => {
  const turns = new Turns(2);
  const began: number[] = [];
  let [now, most] = [0, 0];
  const work = (at: number) =>
    turns.take(async () => {
      began.push(at);
      most = Math.max(most, ++now);
      await new Promise((resolve) => setTimeout(resolve, 5));
      now--;
      if (at === 1) throw new Error('It failed.');
      return at;
    });
  const done = await Promise.allSettled([0, 1, 2, 3, 4].map(work));
  expect(done.map(({ status }) => status)).toEqual([
    'fulfilled',
    'rejected',
    'fulfilled',
    'fulfilled',
    'fulfilled',
  ]);
  expect(began).toEqual([0, 1, 2, 3, 4]);
  expect(most).toBe(2);
});
