import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { escape } from '../escape';
import { Grants } from './grants';

/**
 * A small mail provider that gives programs no password: people sign in on its page and allow that letters are sent in their name, or their mailbox is read (OAuth
 * 2.0 with PKCE). GET /.well-known/oauth-authorization-server · GET /authorize, POST /authorize · POST /token ·
 * POST /introspect (RFC 7662) · for tests POST /lifetime {seconds}, POST /end {everything}: what was given is good no more.
 */
export function startProvider(port: number): { server: Server; grants: Grants } {
  const grants = new Grants();
  const server = createServer((request, response) => {
    answer(grants, request, response).catch((error: Error) => send(response, 400, { error: error.message }));
  });
  server.listen(port, '127.0.0.1', () => console.log(`A provider on 127.0.0.1:${port}`));
  return { server, grants };
}

async function answer(grants: Grants, request: IncomingMessage, response: ServerResponse): Promise<void> {
  const issuer = `http://${request.headers.host}`;
  const url = new URL(request.url ?? '/', issuer);
  switch (`${request.method} ${url.pathname}`) {
    case 'GET /.well-known/oauth-authorization-server':
      return send(response, 200, {
        issuer,
        authorization_endpoint: `${issuer}/authorize`,
        token_endpoint: `${issuer}/token`,
        response_types_supported: ['code'],
        code_challenge_methods_supported: ['S256'],
      });
    case 'GET /authorize':
      return askWhether(response, Object.fromEntries(url.searchParams));
    case 'POST /authorize':
      return decided(grants, response, await fieldsOf(request));
    case 'POST /token': {
      const said = grants.answer(await fieldsOf(request));
      return send(response, 'error' in said ? 400 : 200, said);
    }
    case 'POST /introspect': {
      const username = grants.userOf((await fieldsOf(request)).token ?? '');
      return send(response, 200, username === undefined ? { active: false } : { active: true, username });
    }
    case 'POST /lifetime':
      grants.lifetime = Number((await fieldsOf(request)).seconds);
      return send(response, 200, {});
    case 'POST /end':
      grants.end({ everything: (await fieldsOf(request)).everything === 'yes' });
      return send(response, 200, {});
    default:
      return send(response, 404, { error: 'There is nothing here.' });
  }
}

/** Its page asks; whoever is asked is taken to be who the program says. */
function askWhether(response: ServerResponse, asked: Record<string, string>): void {
  const { redirect_uri = '', code_challenge_method, login_hint = '', client_id = '', scope = '' } = asked;
  if (!isHere(redirect_uri) || code_challenge_method !== 'S256')
    return send(response, 400, { error: 'invalid_request' });
  const hidden = Object.entries(asked).map(
    ([name, value]) => `<input type="hidden" name="${escape(name)}" value="${escape(value)}">`,
  );
  response.writeHead(200, {
    'content-type': 'text/html; charset=utf-8',
    'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
  });
  response.end(`<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>A provider</title><style>body{font:16px/1.5 system-ui,sans-serif;max-width:480px;margin:48px auto;padding:0 16px}button{font:inherit;padding:8px 16px}</style></head>
<body><main><h1>A mail provider, for trying</h1><p>May ${escape(client_id)} use the mail of ${escape(login_hint)}? It asks for: ${escape(scope || 'nothing in particular')}.</p>
<form method="post" action="/authorize">${hidden.join('')}<button name="allowed" value="yes">Allow it</button> <button name="allowed" value="no">No</button></form></main></body></html>`);
}

function decided(grants: Grants, response: ServerResponse, asked: Record<string, string | undefined>): void {
  const { redirect_uri = '', client_id = '', code_challenge: challenge = '', login_hint: user = '' } = asked;
  if (!isHere(redirect_uri)) return send(response, 400, { error: 'invalid_request' });
  const back = new URL(redirect_uri);
  back.searchParams.set('state', asked.state ?? '');
  if (asked.allowed === 'yes')
    back.searchParams.set('code', grants.allow({ client_id, redirect_uri, challenge, user }));
  else back.searchParams.set('error', 'access_denied');
  response.writeHead(303, { location: back.href });
  response.end();
}

/** It leads back to this machine alone. */
function isHere(address: string): boolean {
  return URL.canParse(address) && /^(?:localhost|127(?:\.\d{1,3}){3})$/.test(new URL(address).hostname);
}

async function fieldsOf(request: IncomingMessage): Promise<Record<string, string | undefined>> {
  let text = '';
  for await (const chunk of request) {
    text += chunk;
    if (text.length > 100_000) throw new Error('That is too much.');
  }
  return Object.fromEntries(new URLSearchParams(text));
}

function send(response: ServerResponse, status: number, value: unknown): void {
  response.writeHead(status, {
    'content-type': 'application/json; charset=utf-8',
    'cache-control': 'no-store',
  });
  response.end(JSON.stringify(value));
}
