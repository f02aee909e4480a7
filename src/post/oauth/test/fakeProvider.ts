import { createServer } from 'node:http';

/** A provider that answers what a test wants, and hears what it is asked. */
export async function fakeProvider() {
  const asked: Record<string, string>[] = [];
  const answers: { status?: number; body: unknown }[] = [];
  /** what it says of itself, where that is not right */
  let metadata: unknown;
  const server = createServer((request, response) => {
    let text = '';
    request.on('data', (chunk: Buffer) => (text += chunk.toString()));
    request.on('end', () => {
      const url = new URL(request.url!, issuer);
      const known = url.pathname === '/.well-known/oauth-authorization-server';
      if (known) asked.length = 0;
      const own = {
        issuer,
        authorization_endpoint: `${issuer}/authorize`,
        token_endpoint: `${issuer}/token`,
      };
      const { status = 200, body } = known
        ? { body: metadata ?? own }
        : (answers.shift() ?? { status: 404, body: {} });
      if (url.pathname === '/token') asked.push(Object.fromEntries(new URLSearchParams(text)));
      response.writeHead(status, { 'content-type': 'application/json' });
      response.end(typeof body === 'string' ? body : JSON.stringify(body));
    });
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const issuer = `http://127.0.0.1:${(server.address() as { port: number }).port}`;
  return {
    issuer,
    asked,
    answers,
    says: (wrong: unknown) => (metadata = wrong),
    close: () => new Promise((closed) => server.close(closed)),
  };
}
