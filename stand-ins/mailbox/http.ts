import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { Attachment } from 'mailparser';
import {
  answerTo,
  deliver,
  reportOf,
  written,
  writtenElsewhere,
  type Answer,
  type Report,
  type ToBusiness,
} from './asClient';
import { contentOf } from './attachmentsIn';
import { showPictures } from './showPictures';
import { unsubscribe } from './unsubscribe';
import type { Letters } from './letters';
import { letterPage, listPage } from './page';

/**
 * The mailbox's pages, and an interface for tests:
 * GET /letters?to=ADDRESS · DELETE /letters · POST /refuse {code, words, times, to} · POST /delay {milliseconds} ·
 * POST /cut {times}: the line breaks in the middle of the next letters · POST /away {milliseconds}: nothing answers by SMTP for so
 * long · POST /letters/N/answer, its reader answers · POST /letters/N/open, their mail program shows it with its pictures ·
 * POST /letters/N/unsubscribe, they want no more of a circular · POST /letters/N/report, a server says what became of it · POST /write {from, to, subject, text, onlyMailbox}, somebody writes ·
 * POST /elsewhere {from, to, subject, text, answers}, somebody of the business writes in another mail program.
 * It sets no cookies, as ports share them.
 */
export function startHttp(
  letters: Letters,
  { port, ...business }: { port: number } & ToBusiness,
  away: (milliseconds: number) => void,
): Server {
  const server = createServer((request, response) => {
    if (!isFromHere(request)) return send(response, 403, { error: 'This is not for other sites.' });
    answer(letters, away, business, request, response).catch((error: Error) =>
      send(response, 400, { error: error.message }),
    );
  });
  server.listen(port, '127.0.0.1', () => console.log(`HTTP on 127.0.0.1:${port}`));
  return server;
}

async function answer(
  letters: Letters,
  away: (milliseconds: number) => void,
  business: ToBusiness,
  request: IncomingMessage,
  response: ServerResponse,
): Promise<void> {
  const url = new URL(request.url ?? '/', 'http://mailbox');
  const route = `${request.method} ${url.pathname}`;
  const letter = letters.find(
    Number(
      /^\/letters\/(\d+)(?:\/html|\/answer|\/open|\/report|\/unsubscribe|\/files\/\d+)?$/.exec(
        url.pathname,
      )?.[1],
    ),
  );
  if (route === 'GET /')
    return page(response, listPage(letters, url.searchParams.get('to') ?? undefined, business.imap?.port));
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
  if (request.method === 'GET' && letter && place === undefined)
    return page(response, letterPage(letter, business.imap !== undefined));
  if (route === 'DELETE /letters') {
    letters.clear();
    return send(response, 200, {});
  }
  if (route === 'POST /refuse') {
    const { code = 450, words = 'Try again later', times = 1, to } = await body(request);
    const refusal = { code: Number(code), words: String(words), ...(to ? { to: String(to) } : {}) };
    letters.refuseNext(refusal, Number(times));
    return done(request, response);
  }
  if (route === 'POST /cut') {
    letters.cutNext(Number((await body(request)).times ?? 1));
    return done(request, response);
  }
  if (route === 'POST /away') {
    away(Number((await body(request)).milliseconds ?? 0));
    return done(request, response);
  }
  if (request.method === 'POST' && letter && url.pathname.endsWith('/answer')) {
    const { file, ...given } = await body<Answer & { file?: string }>(request);
    if (file) given.files = [{ name: file, content: 'What they send along.' }];
    await deliver(await answerTo(letter, given), business, given.onlyMailbox);
    return done(request, response);
  }
  if (request.method === 'POST' && letter && url.pathname.endsWith('/open')) {
    await showPictures(letter);
    return done(request, response);
  }
  if (request.method === 'POST' && letter && url.pathname.endsWith('/unsubscribe')) {
    await unsubscribe(letter);
    return done(request, response);
  }
  if (request.method === 'POST' && letter && url.pathname.endsWith('/report')) {
    await deliver(await reportOf(letter, await body<Report>(request)), business);
    return done(request, response);
  }
  if (route === 'POST /write') {
    const { onlyMailbox, ...message } = await body<Parameters<typeof written>[0] & { onlyMailbox?: boolean }>(
      request,
    );
    await deliver(await written(message), business, onlyMailbox);
    return done(request, response);
  }
  if (route === 'POST /elsewhere') {
    const message = await body<Parameters<typeof writtenElsewhere>[0]>(request);
    const raw = await writtenElsewhere(message, business);
    await letters.take(raw, { from: message.from, to: [message.to] });
    return done(request, response);
  }
  if (route === 'POST /delay') {
    letters.delay = Number((await body(request)).milliseconds ?? 0);
    return done(request, response);
  }
  send(response, 404, { error: 'There is nothing here.' });
}

async function body<Asked = Record<string, unknown>>(request: IncomingMessage): Promise<Asked> {
  let text = '';
  for await (const chunk of request) text += chunk;
  return (isForm(request) ? fieldsOf(text) : JSON.parse(text || '{}')) as Asked;
}

/** The fields of a page's form; what is left empty is not said, what is ticked is so. */
function fieldsOf(text: string): Record<string, unknown> {
  const fields = [...new URLSearchParams(text)].filter(([, value]) => value !== '');
  return Object.fromEntries(fields.map(([name, value]) => [name, value === 'on' ? true : value]));
}

function isForm({ headers }: IncomingMessage): boolean {
  return headers['content-type']?.startsWith('application/x-www-form-urlencoded') ?? false;
}

/** A page's form goes back to its page. */
function done(request: IncomingMessage, response: ServerResponse): void {
  if (!isForm(request)) return send(response, 200, {});
  response.writeHead(303, { location: request.headers.referer ?? '/' });
  response.end();
}

/** Whether a request is for this machine's own name, and from no page but ours. */
function isFromHere({ headers }: IncomingMessage): boolean {
  const name = (headers.host ?? '').replace(/:\d+$/, '');
  const isHere = /^(?:localhost|127(?:\.\d{1,3}){3}|\[::1\])$/.test(name);
  return isHere && (headers.origin === undefined || headers.origin === `http://${headers.host}`);
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
