import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { LetterNews } from './letterNews';

let say: (business: string | undefined) => void = () => undefined;
let listening = 0;

const news = () =>
  new LetterNews((_, onNews) => {
    listening++;
    say = onNews;
    // It is connected.
    queueMicrotask(() => onNews(undefined));
    return {
      stop: () => {
        listening--;
      },
    };
  });

beforeEach(() => {
  listening = 0;
  vi.useFakeTimers({ now: 1_000_000 });
});
afterEach(() => vi.useRealTimers());

/** Hears of the business “ours”; gives how often it was told. */
function hear(of: LetterNews, within = 0) {
  let told = 0;
  const stop = of.hear('ours', () => told++, within);
  return { told: () => told, stop };
}

it('tells of a business alone, and of all where something may have been missed', async () => {
  const one = hear(news());
  await Promise.resolve();
  expect(one.told()).toBe(1);
  say('theirs');
  expect(one.told()).toBe(1);
  say('ours');
  say(undefined);
  expect(one.told()).toBe(3);
  one.stop();
  say('ours');
  expect(one.told()).toBe(3);
});

it('tells at once what has been since a page was made, and what may have been', async () => {
  const all = news();
  // Nobody was listening before: something may have been.
  const first = hear(all, 5_000);
  await Promise.resolve();
  expect(first.told()).toBe(1);
  await vi.advanceTimersByTimeAsync(10_000);
  const quiet = hear(all, 5_000);
  await Promise.resolve();
  expect(quiet.told()).toBe(0);
  say('ours');
  await vi.advanceTimersByTimeAsync(2_000);
  const missed = hear(all, 5_000);
  const made = hear(all, 1_000);
  await Promise.resolve();
  expect([missed.told(), made.told()]).toEqual([1, 0]);
});

it('listens a while longer than anybody hears, over one connection', async () => {
  const all = news();
  const [one, other] = [hear(all), hear(all)];
  expect(listening).toBe(1);
  one.stop();
  other.stop();
  await vi.advanceTimersByTimeAsync(30_000);
  const again = hear(all, 5_000);
  await Promise.resolve();
  expect([listening, again.told()]).toEqual([1, 0]);
  again.stop();
  await vi.advanceTimersByTimeAsync(61_000);
  expect(listening).toBe(0);
});
