import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { Attachment } from 'mailparser';
import { contentOf } from './attachmentsIn';
import type { Letters } from './letters';
import { letterPage, listPage } from './page';

/**
 * The mailbox's pages, and an interface for tests:
 * GET /letters?to=ADDRESS · DELETE /letters · POST /refuse {code, words, times, to} · POST /delay {milliseconds} ·
 * POST /away {milliseconds}: nothing answers by SMTP for so long.
 * It sets no cookies, as ports share them.
 */
export function startHttp(letters: Letters, port: number, away: (milliseconds: number) => void): Server {
  const server = createServer((request, response) => {
    answer(letters, away, request, response).catch((error: Error) =>
      send(response, 400, { error: error.message }),
    );
  });
  server.listen(port, '127.0.0.1', () => console.log(`HTTP on 127.0.0.1:${port}`));
  return server;
}

async function answer(
  letters: Letters,
  away: (milliseconds: number) => void,
  request: IncomingMessage,
  response: ServerResponse,
): Promise<void> {
  const url = new URL(request.url ?? '/', 'http://mailbox');
  const route = `${request.method} ${url.pathname}`;
  const letter = letters.find(Number(/^\/letters\/(\d+)(?:\/html|\/files\/\d+)?$/.exec(url.pathname)?.[1]));
  if (route === 'GET /') return page(response, listPage(letters, url.searchParams.get('to') ?? undefined));
  if (route === 'GET /letters')
    return send(
      response,
      200,
      letters.list(url.searchParams.get('to') ?? undefined).map(({ raw: _, ...letter }) => letter),
    );
  if (request.method === 'GET' && letter && url.pathname.endsWith('/html'))
    return framed(response, letter.html);
  const place = /\/files\/(\d+)$/.exec(url.pathname)?.[1];
  const file = letter && place !== undefined ? await contentOf(letter.raw, Number(place)) : undefined;
  if (request.method === 'GET' && file) return download(response, file);
  if (request.method === 'GET' && letter && place === undefined) return page(response, letterPage(letter));
  if (route === 'DELETE /letters') {
    letters.clear();
    return send(response, 200, {});
  }
  if (route === 'POST /refuse') {
    const { code = 450, words = 'Try again later', times = 1, to } = await body(request);
    const refusal = { code: Number(code), words: String(words), ...(to ? { to: String(to) } : {}) };
    letters.refuseNext(refusal, Number(times));
    return send(response, 200, {});
  }
  if (route === 'POST /away') {
    away(Number((await body(request)).milliseconds ?? 0));
    return send(response, 200, {});
  }
  if (route === 'POST /delay') {
    letters.delay = Number((await body(request)).milliseconds ?? 0);
    return send(response, 200, {});
  }
  send(response, 404, { error: 'There is nothing here.' });
}

async function body(request: IncomingMessage): Promise<Record<string, unknown>> {
  let text = '';
  for await (const chunk of request) text += chunk;
  return JSON.parse(text || '{}') as Record<string, unknown>;
}

function send(response: ServerResponse, status: number, value: unknown): void {
  response.writeHead(status, { 'content-type': 'application/json; charset=utf-8' });
  response.end(JSON.stringify(value));
}

function page(response: ServerResponse, html: string): void {
  response.writeHead(200, {
    'content-type': 'text/html; charset=utf-8',
    'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; frame-src 'self'",
  });
  response.end(html);
}

/** What goes along is kept on the device, never opened here. */
function download(response: ServerResponse, { filename = 'file', content }: Attachment): void {
  response.writeHead(200, {
    'content-type': 'application/octet-stream',
    'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(filename)}`,
    'x-content-type-options': 'nosniff',
  });
  response.end(content);
}

/** A letter's own HTML runs nothing and loads nothing. */
function framed(response: ServerResponse, html: string): void {
  response.writeHead(200, {
    'content-type': 'text/html; charset=utf-8',
    'content-security-policy': "sandbox; default-src 'none'; style-src 'unsafe-inline'; img-src data: cid:",
  });
  response.end(html);
}
