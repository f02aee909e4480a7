import { generateKeyPair } from 'node:crypto';
import { Resolver } from 'node:dns/promises';
import { promisify } from 'node:util';
import DKIM from 'nodemailer/lib/dkim';
import { buffer } from 'node:stream/consumers';

/** With what letters from a domain are signed (DKIM, RFC 6376). */
export interface SigningKey {
  domain: string;
  selector: string;
  /** PKCS #8, PEM */
  privateKey: string;
}

/** A message with its signature before it, as bytes. */
export async function signed(message: Buffer, { domain, selector, privateKey }: SigningKey): Promise<Buffer> {
  const signer = new DKIM({ domainName: domain, keySelector: selector, privateKey });
  return buffer(signer.sign(message));
}

/** A pair of keys: RSA of 2048 bits, which every receiver can check (RFC 8301). The public one is base64 of SubjectPublicKeyInfo. */
export async function makeKeyPair(): Promise<{ publicKey: string; privateKey: string }> {
  const { publicKey, privateKey } = await promisify(generateKeyPair)('rsa', {
    modulusLength: 2048,
    publicKeyEncoding: { type: 'spki', format: 'der' },
    privateKeyEncoding: { type: 'pkcs8', format: 'pem' },
  });
  return { publicKey: publicKey.toString('base64'), privateKey };
}

/** The line that a domain's names have to have, by which receivers find the key (RFC 6376, 3.6): its name, and what it says. */
export function lineOf(domain: string, selector: string, publicKey: string): { name: string; value: string } {
  return { name: `${selector}._domainkey.${domain}`, value: `v=DKIM1; k=rsa; p=${publicKey}` };
}

/** What was found where a domain's line has to be. */
export type LineFound = 'there' | 'not there' | 'another' | 'not answered';

/** Looks whether a line is where everybody finds it. @param texts looks up the texts of a name */
export async function lookForLine(
  name: string,
  publicKey: string,
  texts: (name: string) => Promise<string[][]> = lookUp,
): Promise<LineFound> {
  try {
    const found = (await texts(name)).map((parts) => parts.join(''));
    const keys = found.flatMap(
      (text) => /(?:^|;)\s*p\s*=\s*([^;]*)/.exec(text)?.[1]?.replace(/\s/g, '') ?? [],
    );
    if (keys.includes(publicKey)) return 'there';
    return found.length > 0 ? 'another' : 'not there';
  } catch (error) {
    const { code = '' } = error as { code?: string };
    return ['ENOTFOUND', 'ENODATA'].includes(code) ? 'not there' : 'not answered';
  }
}

const lookUp = (name: string) => new Resolver({ timeout: 3000, tries: 2 }).resolveTxt(name);
