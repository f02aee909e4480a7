import { createHash, randomBytes } from 'node:crypto';

/** What a provider answers to a program (RFC 6749, 5.1 and 5.2). */
export type TokenAnswer =
  | { access_token: string; token_type: 'Bearer'; expires_in: number; refresh_token: string }
  | { error: 'invalid_request' | 'invalid_grant' | 'unsupported_grant_type' };

/** What somebody allows a program. */
interface Allowed {
  client_id: string;
  redirect_uri: string;
  challenge: string;
  user: string;
}

/** Whom a provider knows: who allowed what, with which tokens. In memory alone. */
export class Grants {
  /** seconds for which a token is good */
  lifetime = 3600;
  readonly #codes = new Map<string, Allowed>();
  readonly #renewing = new Map<string, string>();
  readonly #tokens = new Map<string, { user: string; until: number }>();

  /** Somebody allows it: gives the code that they go back with. */
  allow(allowed: Allowed): string {
    const code = randomBytes(16).toString('base64url');
    this.#codes.set(code, allowed);
    return code;
  }

  /** Gives tokens for a code (once, to whoever knows the verifier of its challenge: RFC 7636), or for what renews (once). */
  answer(form: Readonly<Record<string, string | undefined>>): TokenAnswer {
    if (form.grant_type === 'authorization_code') {
      const allowed = this.#codes.get(form.code ?? '');
      this.#codes.delete(form.code ?? '');
      const challenge = createHash('sha256')
        .update(form.code_verifier ?? '')
        .digest('base64url');
      const isTheirs =
        allowed?.challenge === challenge &&
        allowed.client_id === form.client_id &&
        allowed.redirect_uri === form.redirect_uri;
      return isTheirs ? this.#give(allowed.user) : { error: 'invalid_grant' };
    }
    if (form.grant_type !== 'refresh_token') return { error: 'unsupported_grant_type' };
    const user = this.#renewing.get(form.refresh_token ?? '');
    this.#renewing.delete(form.refresh_token ?? '');
    return user === undefined ? { error: 'invalid_grant' } : this.#give(user);
  }

  /** Whose mail a token sends; undefined: it is not good, or not any more. */
  userOf(token: string): string | undefined {
    const known = this.#tokens.get(token);
    return known && known.until > Date.now() ? known.user : undefined;
  }

  /** What was given is good no more; with everything, nothing renews it either. */
  end({ everything = false } = {}): void {
    this.#tokens.clear();
    if (everything) this.#renewing.clear();
  }

  #give(user: string): TokenAnswer {
    const [access_token, refresh_token] = [
      randomBytes(24).toString('base64url'),
      randomBytes(24).toString('base64url'),
    ];
    this.#tokens.set(access_token, { user, until: Date.now() + this.lifetime * 1000 });
    this.#renewing.set(refresh_token, user);
    return { access_token, token_type: 'Bearer', expires_in: this.lifetime, refresh_token };
  }
}
