import { describe, expect, it } from 'vitest';
import { guessServer, type Asked } from './guessServer';
import { readAutoconfig } from './readAutoconfig';

const ADDRESS = 'imke@larkfield.example';

const server = (more: string, type = 'smtp') => `<outgoingServer type="${type}">${more}</outgoingServer>`;
const file = (...servers: string[]) =>
  `<?xml version="1.0"?><clientConfig version="1.1"><emailProvider id="larkfield.example">
   <incomingServer type="imap"><hostname>imap.larkfield.example</hostname><port>993</port><socketType>SSL</socketType></incomingServer>
   ${servers.join('\n')}</emailProvider></clientConfig>`;
const GOOD =
  '<hostname>smtp.%EMAILDOMAIN%</hostname><port>587</port><socketType>STARTTLS</socketType><username>%EMAILLOCALPART%</username>';

/** A network that knows some services and files. */
function network(
  services: Record<string, Awaited<ReturnType<Asked['services']>>>,
  files: Record<string, string> = {},
) {
  const asked: string[] = [];
  const to: Asked = {
    services: async (name) => {
      asked.push(name);
      if (!services[name]) throw Object.assign(new Error('queryTxt ENOTFOUND'), { code: 'ENOTFOUND' });
      return services[name];
    },
    file: async ({ href }) => {
      asked.push(href);
      return files[href];
    },
  };
  return { asked, to };
}

describe('by which server mail leaves', () => {
  it('is what the domain says among its names: TLS from the start before TLS later, then by priority and weight', async () => {
    const starttls = [{ name: 'late.larkfield.example', port: 587, priority: 0, weight: 1 }];
    const tls = [
      { name: 'third.larkfield.example', port: 465, priority: 10, weight: 100 },
      { name: 'second.larkfield.example', port: 465, priority: 1, weight: 1 },
      { name: 'first.larkfield.example.', port: 465, priority: 1, weight: 9 },
    ];
    const both = network({
      '_submissions._tcp.larkfield.example': tls,
      '_submission._tcp.larkfield.example': starttls,
    });
    expect(await guessServer(ADDRESS, 'sending', both.to)).toEqual({
      host: 'first.larkfield.example',
      port: 465,
      security: 'tls',
      user_name: ADDRESS,
    });
    expect(both.asked).toHaveLength(2);
    const none = [{ name: '.', port: 0, priority: 0, weight: 0 }];
    const one = network({
      '_submissions._tcp.larkfield.example': none,
      '_submission._tcp.larkfield.example': starttls,
    });
    expect(await guessServer(ADDRESS, 'sending', one.to)).toMatchObject({
      host: 'late.larkfield.example',
      security: 'starttls',
    });
  });

  it('and where a mailbox is are asked for apart', async () => {
    const { asked, to } = network({
      '_imaps._tcp.larkfield.example': [
        { name: 'imap.larkfield.example', port: 993, priority: 0, weight: 1 },
      ],
    });
    expect(await guessServer(ADDRESS, 'mailbox', to)).toMatchObject({
      host: 'imap.larkfield.example',
      security: 'tls',
    });
    expect(asked).toEqual(['_imaps._tcp.larkfield.example', '_imap._tcp.larkfield.example']);
    const url = 'https://larkfield.example/.well-known/autoconfig/mail/config-v1.1.xml';
    expect(
      await guessServer(ADDRESS, 'mailbox', network({}, { [url]: file(server(GOOD)) }).to),
    ).toMatchObject({ host: 'imap.larkfield.example', port: 993, user_name: ADDRESS });
  });

  it('is else what an autoconfig file says', async () => {
    const url = 'https://larkfield.example/.well-known/autoconfig/mail/config-v1.1.xml';
    const { asked, to } = network({}, { [url]: file(server(GOOD)) });
    expect(await guessServer(ADDRESS, 'sending', to)).toEqual({
      host: 'smtp.larkfield.example',
      port: 587,
      security: 'starttls',
      user_name: 'imke',
    });
    expect(asked).toContain(
      'https://autoconfig.larkfield.example/mail/config-v1.1.xml?emailaddress=imke%40larkfield.example',
    );
  });

  it('is not known where nobody answers', async () => {
    const down = async () => Promise.reject(new Error('down'));
    expect(await guessServer(ADDRESS, 'sending', { services: down, file: down })).toBeUndefined();
    expect(await guessServer('no address', 'sending', network({}).to)).toBeUndefined();
  });
});

describe('an autoconfig file', () => {
  it('is read in its order, without what has no TLS or is not whole', () => {
    const plain = server(GOOD.replace('STARTTLS', 'plain'));
    const elsewhere = server(
      GOOD.replace('587', '465').replace('STARTTLS', 'SSL').replace('%EMAILLOCALPART%', '%EMAILADDRESS%'),
    );
    expect(readAutoconfig(file(plain, elsewhere, server(GOOD)), ADDRESS, 'sending')).toEqual([
      { host: 'smtp.larkfield.example', port: 465, security: 'tls', user_name: ADDRESS },
      { host: 'smtp.larkfield.example', port: 587, security: 'starttls', user_name: 'imke' },
    ]);
    for (const wrong of [
      server(GOOD.replace('587', '99999999')),
      server(GOOD.replace('smtp.%EMAILDOMAIN%', 'a host with spaces')),
      server(GOOD.replace('smtp.%EMAILDOMAIN%', '&lt;script&gt;')),
      server(GOOD, 'exchange'),
      server(''),
    ])
      expect(readAutoconfig(file(wrong), ADDRESS, 'sending'), wrong).toEqual([]);
  });

  it.each([
    '',
    'no file at all',
    '<outgoingServer type="smtp"><hostname>',
    '<'.repeat(60_000),
    '<a>'.repeat(20_000),
    '&'.repeat(60_000),
    file().slice(0, 80),
  ])('that is broken says nothing (%#)', (text) =>
    expect(readAutoconfig(text, ADDRESS, 'sending')).toEqual([]),
  );
});
