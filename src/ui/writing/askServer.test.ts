import { afterEach, expect, test, vi } from 'vitest';
import { askServer } from './askServer';

afterEach(() => vi.unstubAllGlobals());

const answers = (body: BodyInit, status = 200) =>
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { status })));

test('what the server says is given with its status', async () => {
  answers('{"result":"going"}', 202);
  expect(await askServer('/api/letters', {})).toEqual({ status: 202, body: { result: 'going' } });
});

test('what is none of ours says so, and not that nothing has changed', async () => {
  answers('<html>Bad gateway</html>', 502);
  expect(await askServer('/api/letters', {})).toEqual({
    status: 502,
    body: { error: 'The server did not answer properly. Try again.' },
  });
});

test('a server that does not answer within what it is given counts as none', async () => {
  vi.stubGlobal(
    'fetch',
    (_: string, { signal }: RequestInit) =>
      new Promise((_, reject) => signal!.addEventListener('abort', () => reject(signal!.reason as Error))),
  );
  expect(await askServer('/api/letters', {}, 'POST', 5)).toEqual({ offline: true });
});

test('an answer that breaks off counts as none: what it was is not known', async () => {
  answers(
    new ReadableStream({
      start(stream) {
        stream.enqueue(new TextEncoder().encode('{"result":'));
        stream.error(new TypeError('network error'));
      },
    }),
  );
  expect(await askServer('/api/letters', {})).toEqual({ offline: true });
});
