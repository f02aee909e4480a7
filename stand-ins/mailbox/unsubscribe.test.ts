import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { unsubscribe } from './unsubscribe';

const asked: string[] = [];
const server = createServer((request, response) => {
  let body = '';
  request.on('data', (chunk: Buffer) => (body += chunk.toString()));
  request.on('end', () => {
    asked.push(`${request.method} ${request.url} ${body}`);
    response.writeHead(request.url === '/gone' ? 410 : 200).end();
  });
});
beforeAll(() => new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening)));
afterAll(() => void server.close());

const letter = (ways: string, post = 'List-Unsubscribe=One-Click') => ({
  headers: [
    { name: 'list-unsubscribe', value: ways },
    { name: 'list-unsubscribe-post', value: post },
  ],
});
const here = (path: string) => `http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`;

it('no more is asked for in one press, where a letter says how', async () => {
  await unsubscribe(letter(`<mailto:no-more@larkfield.example>,\r\n <${here('/no-more?of=1')}>`));
  expect(asked).toEqual(['POST /no-more?of=1 List-Unsubscribe=One-Click']);
});

it('where it does not, or it is elsewhere, or is refused, that is said', async () => {
  await expect(unsubscribe({ headers: [] })).rejects.toThrow('does not say how');
  await expect(unsubscribe(letter('<mailto:no-more@larkfield.example>'))).rejects.toThrow('does not say how');
  await expect(unsubscribe(letter(`<${here('/x')}>`, ''))).rejects.toThrow('does not say how');
  await expect(unsubscribe(letter('<https://larkfield.example/no-more>'))).rejects.toThrow(
    'not on this machine',
  );
  await expect(unsubscribe(letter(`<${here('/gone')}>`))).rejects.toThrow('410');
});
