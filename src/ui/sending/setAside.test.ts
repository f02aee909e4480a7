import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { setAside } from './setAside';

const page = Object.assign(new EventTarget(), { visibilityState: 'visible' });
const put = vi.fn(() => Promise.resolve(true));

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('document', page);
  page.visibilityState = 'visible';
  put.mockClear();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

test('a letter whose answer comes at once is not put aside', async () => {
  const end = setAside(put);
  expect(await end()).toBe(false);
  vi.advanceTimersByTime(60_000);
  expect(put).not.toHaveBeenCalled();
});

test('one whose answer is long in coming is, once', async () => {
  const end = setAside(put);
  vi.advanceTimersByTime(60_000);
  expect(await end()).toBe(true);
  expect(put).toHaveBeenCalledTimes(1);
});

test('one whose page is put away before the answer is at once', async () => {
  const end = setAside(put);
  page.visibilityState = 'hidden';
  page.dispatchEvent(new Event('visibilitychange'));
  expect(put).toHaveBeenCalledTimes(1);
  expect(await end()).toBe(true);
  page.dispatchEvent(new Event('visibilitychange'));
  expect(put).toHaveBeenCalledTimes(1);
});
