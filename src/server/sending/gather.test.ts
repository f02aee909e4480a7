import { expect, it, vi } from 'vitest';
import { gather } from './gather';

it('what is asked for while it runs is one run more, and an error reaches its own callers alone', async () => {
  const runs: number[][] = [];
  let end = () => {};
  const first = new Promise<void>((resolve) => (end = resolve));
  const ask = gather(async (items: readonly number[]) => {
    runs.push([...items]);
    await first;
    if (items.includes(5)) throw new Error('five');
    return items.length;
  });
  const asked = [ask(1)];
  await vi.waitFor(() => expect(runs).toHaveLength(1));
  for (const item of [2, 3, 4, 5]) asked.push(ask(item));
  end();
  const settled = await Promise.allSettled(asked);
  expect(settled.map(({ status }) => status)).toEqual([
    'fulfilled',
    'rejected',
    'rejected',
    'rejected',
    'rejected',
  ]);
  expect(await Promise.all([ask(6), ask(7)])).toEqual([2, 2]);
  expect(runs).toEqual([[1], [2, 3, 4, 5], [6, 7]]);
});
