import { describe, expect, it } from 'vitest';
import { readJson } from './readJson';

const request = (body: BodyInit, type = 'application/json', headers: Record<string, string> = {}) =>
  new Request('http://localhost/x', { method: 'POST', body, headers: { 'content-type': type, ...headers } });

describe('the JSON of a request', () => {
  it('is what it says', async () =>
    expect(await readJson(request('{"a":["é🙂"]}'), 100)).toEqual({ a: ['é🙂'] }));

  it.each([
    ['of another type', request('{}', 'text/plain'), 415],
    ['of a form', request('a=1', 'application/x-www-form-urlencoded'), 415],
    ['that is none', request('{'), 400],
    ['that is empty', request(''), 400],
    ['in another encoding', request(new Uint8Array([0x22, 0xfc, 0x22])), 400],
    ['with NUL in a text', request('{"a":"x\\u0000"}'), 400],
    ['with NUL in a name', request('{"a\\u0000":1}'), 400],
    ['with half a character', request('{"a":"\\ud800"}'), 400],
    ['nested without end', request(`${'['.repeat(5_000)}${']'.repeat(5_000)}`), 400],
    ['that is too long', request(`"${'x'.repeat(20_000)}"`), 413],
    ['that says it is too long', request('{}', undefined, { 'content-length': '999999' }), 413],
  ])('%s is refused', async (_, one, status) => {
    const refused = await readJson(one, 15_000).catch((error: unknown) => error);
    expect(refused).toMatchObject({ status });
    expect((refused as Error).message).not.toContain('xxx');
  });

  it('that never ends is not waited for', async () => {
    let sent = 0;
    const endless = new ReadableStream({
      pull: (controller) => {
        sent += 1000;
        controller.enqueue(new TextEncoder().encode('x'.repeat(1000)));
      },
    });
    const one = new Request('http://localhost/x', {
      method: 'POST',
      body: endless,
      headers: { 'content-type': 'application/json' },
      duplex: 'half',
    } as RequestInit);
    await expect(readJson(one, 5_000)).rejects.toMatchObject({ status: 413 });
    expect(sent).toBeLessThan(20_000);
  });
});
