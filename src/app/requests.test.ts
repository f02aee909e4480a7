import { afterEach, describe, expect, it, vi } from 'vitest';
import { contentSecurityPolicy } from './contentSecurityPolicy';
import { answersTo } from './ownAddress';
import { isSameOrigin } from './sameOrigin';

afterEach(() => vi.unstubAllEnvs());

describe('a request that changes something', () => {
  const from = (headers: Record<string, string>) =>
    isSameOrigin(new Request('http://127.0.0.1:3400/api/session', { headers }));

  it('comes from our own pages', () => {
    expect(from({ host: '127.0.0.1:3400', origin: 'http://127.0.0.1:3400' })).toBe(true);
    vi.stubEnv('APP_URL', 'https://letters.example');
    expect(from({ host: 'letters.example', origin: 'https://letters.example' })).toBe(true);
    expect(from({ host: 'letters.example', origin: 'http://letters.example' })).toBe(false);
  });

  it.each([
    [{ host: '127.0.0.1:3400' }],
    [{ host: '127.0.0.1:3400', origin: 'http://127.0.0.1:3401' }],
    [{ host: '127.0.0.1:3400', origin: 'https://elsewhere.example' }],
    [{ host: '127.0.0.1:3400', origin: 'null' }],
    [{ host: '127.0.0.1:3400', origin: 'https://127.0.0.1:3400' }],
    [{ host: 'rebound.example', origin: 'http://rebound.example' }],
  ])('and not with %j', (headers) => expect(from(headers as Record<string, string>)).toBe(false));
});

describe('the host that was asked for', () => {
  it.each(['127.0.0.1:3400', 'localhost:3400', '192.168.1.20:3400', '[::1]:3400', 'localhost'])(
    'may be %s',
    (host) => expect(answersTo(host)).toBe(true),
  );

  it.each([null, '', 'rebound.example', '127.0.0.1.rebound.example', 'localhost.rebound.example:3400'])(
    'may not be %j',
    (host) => expect(answersTo(host)).toBe(false),
  );

  it('may be the address that is set, and no name beside it', () => {
    vi.stubEnv('APP_URL', 'https://letters.example');
    expect(answersTo('Letters.example')).toBe(true);
    expect(answersTo('letters.example:8443')).toBe(false);
    expect(answersTo('www.letters.example')).toBe(false);
  });
});

describe('the policy', () => {
  it('runs scripts by their nonce alone', () => {
    const policy = contentSecurityPolicy('abc', false);
    expect(policy).toContain("script-src 'self' 'nonce-abc' 'strict-dynamic';");
    expect(policy).not.toContain('unsafe-eval');
    expect(policy).toContain("object-src 'none'");
    expect(policy).toContain("frame-ancestors 'none'");
  });

  it('lets the development server evaluate', () => {
    expect(contentSecurityPolicy('abc', true)).toContain("'unsafe-eval'");
  });
});
