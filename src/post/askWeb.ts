import { request as askHttp } from 'node:http';
import { request as askHttps } from 'node:https';
import { isIP } from 'node:net';
import { publicAddress } from './publicAddress';

const MILLISECONDS = 8_000;

interface Asking {
  /** so many bytes are taken at most */
  most: number;
  /** the fields of a form, which are given */
  form?: Readonly<Record<string, string>>;
  /** it has to be out on the internet; else this machine may be asked too, without TLS */
  publicOnly: boolean;
}

/**
 * Asks a server of the web, by HTTPS, without following it elsewhere.
 * @throws Error where it cannot be asked, takes too long or says too much
 */
export async function askWeb(
  url: URL,
  { most, form, publicOnly }: Asking,
): Promise<{ status: number; text: string }> {
  const here = /^(?:localhost|127(?:\.\d+){3}|\[::1\])$/.test(url.hostname);
  if (url.protocol !== 'https:' && !(url.protocol === 'http:' && here && !publicOnly))
    throw new Error(`${url.origin} has to be asked by HTTPS.`);
  const name = url.hostname.replace(/^\[|\]$/g, '');
  const content = form && new URLSearchParams(form).toString();
  const options = {
    method: content === undefined ? 'GET' : 'POST',
    // What is connected to is what was looked at.
    host: publicOnly ? await publicAddress(name) : name,
    port: url.port || undefined,
    path: url.pathname + url.search,
    ...(isIP(name) ? {} : { servername: name }),
    headers: {
      host: url.host,
      accept: 'application/json, text/xml;q=0.9, */*;q=0.1',
      ...(content === undefined ? {} : { 'content-type': 'application/x-www-form-urlencoded' }),
    },
    timeout: MILLISECONDS,
  };
  return new Promise((resolve, reject) => {
    const asked = (url.protocol === 'https:' ? askHttps : askHttp)(options, (response) => {
      const chunks: Buffer[] = [];
      let size = 0;
      response.on('data', (chunk: Buffer) => {
        size += chunk.length;
        chunks.push(chunk);
        if (size > most) asked.destroy(new Error(`${url.host} says too much.`));
      });
      response.on('end', () =>
        resolve({ status: response.statusCode ?? 0, text: Buffer.concat(chunks).toString('utf8') }),
      );
      response.on('error', reject);
    });
    const late = setTimeout(() => asked.destroy(new Error(`${url.host} takes too long.`)), MILLISECONDS);
    asked.on('close', () => clearTimeout(late));
    asked.on('error', reject);
    asked.end(content);
  });
}
