import { createHash, createPublicKey, verify } from 'node:crypto';
import { expect, it } from 'vitest';
import { lineOf, lookForLine, makeKeyPair, signed } from './signing';

const MESSAGE = Buffer.from(
  'From: Imke <imke@larkfield.example>\r\nTo: oda@reader.example\r\nSubject: How it goes\r\n\r\nHello Oda,\r\n\r\nall is well.\r\n',
);

/** Checks a signature as a receiver does (RFC 6376, relaxed/relaxed), from the line alone. */
function isRight(message: string, line: string): boolean {
  const [head = '', body = ''] = message.split(/\r\n\r\n(.*)/s);
  const headers = head.split(/\r\n(?![ \t])/);
  const relaxed = (header: string) => {
    const [name = '', value = ''] = header.split(/:(.*)/s);
    return `${name.trim().toLowerCase()}:${value.replace(/\s+/g, ' ').trim()}`;
  };
  const signature = relaxed(headers.find((one) => one.startsWith('DKIM-Signature'))!);
  const tag = (name: string) =>
    new RegExp(`(?:^|[;:] ?)${name}=([^;]*)`).exec(signature)![1]!.replace(/\s/g, '');
  const bodyRelaxed = `${body
    .replace(/[ \t]+/g, ' ')
    .replace(/ \r\n/g, '\r\n')
    .replace(/(?:\r\n)+$/, '')}\r\n`;
  if (createHash('sha256').update(bodyRelaxed).digest('base64') !== tag('bh')) return false;
  const named = tag('h')
    .split(':')
    .flatMap((name) =>
      headers.filter((one) => one.toLowerCase().startsWith(`${name.toLowerCase()}:`)).slice(-1),
    );
  const said = [...named.map(relaxed), signature.replace(/ b=[^;]*/, ' b=')].join('\r\n');
  const key = createPublicKey({
    key: Buffer.from(/p=(.*)/.exec(line)![1]!, 'base64'),
    format: 'der',
    type: 'spki',
  });
  return verify('sha256', Buffer.from(said), key, Buffer.from(tag('b'), 'base64'));
}

it('a signed letter is right by the line that stands with its domain, and not once it was changed', async () => {
  const { publicKey, privateKey } = await makeKeyPair();
  const letter = (
    await signed(MESSAGE, { domain: 'larkfield.example', selector: 'letters', privateKey })
  ).toString();
  const { name, value } = lineOf('larkfield.example', 'letters', publicKey);
  expect(name).toBe('letters._domainkey.larkfield.example');
  expect(letter.endsWith(MESSAGE.toString())).toBe(true);
  expect(letter).toMatch(/d=larkfield\.example/);
  expect(isRight(letter, value)).toBe(true);
  expect(isRight(letter.replace('all is well', 'all is lost'), value)).toBe(false);
  expect(isRight(letter.replace('How it goes', 'Pay at once'), value)).toBe(false);
});

it('the line is looked for where everybody finds it', async () => {
  const fails = (code: string) => () => Promise.reject(Object.assign(new Error(code), { code }));
  const look = (texts: Parameters<typeof lookForLine>[2]) => lookForLine('name', 'KEY+/=', texts);
  expect(await look(async () => [['v=DKIM1; k=rsa; p=KE', 'Y+/=']])).toBe('there');
  expect(await look(async () => [['something else'], ['k=rsa;p=KEY +/=']])).toBe('there');
  expect(await look(async () => [['v=DKIM1; p=OTHER']])).toBe('another');
  expect(await look(async () => [['v=DKIM1; p=']])).toBe('another');
  expect(await look(async () => [])).toBe('not there');
  expect(await look(fails('ENOTFOUND'))).toBe('not there');
  expect(await look(fails('ENODATA'))).toBe('not there');
  expect(await look(fails('ETIMEOUT'))).toBe('not answered');
});
