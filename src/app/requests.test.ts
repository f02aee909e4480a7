import { describe, expect, it } from 'vitest';
import { contentSecurityPolicy } from './contentSecurityPolicy';
import { isSameOrigin } from './sameOrigin';

describe('a request that changes something', () => {
  const from = (headers: Record<string, string>) =>
    isSameOrigin(new Request('http://127.0.0.1:3400/api/session', { headers }));

  it('comes from our own pages', () => {
    expect(from({ host: '127.0.0.1:3400', origin: 'http://127.0.0.1:3400' })).toBe(true);
    expect(from({ host: 'letters.example', origin: 'https://letters.example' })).toBe(true);
  });

  it.each([
    [{ host: '127.0.0.1:3400' }],
    [{ host: '127.0.0.1:3400', origin: 'http://127.0.0.1:3401' }],
    [{ host: '127.0.0.1:3400', origin: 'https://elsewhere.example' }],
    [{ host: '127.0.0.1:3400', origin: 'null' }],
  ])('and not with %j', (headers) => expect(from(headers as Record<string, string>)).toBe(false));
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
