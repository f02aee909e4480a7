import { createServer } from 'node:net';

/** A mail server that takes some tokens by the ways it offers, as those of providers talk. */
export async function bearerServer(offers: string, good: readonly string[]) {
  const heard: string[] = [];
  const server = createServer((socket) => {
    let refused = false;
    socket.on('error', () => undefined).setEncoding('utf8');
    socket.write('220 here\r\n');
    socket.on('data', (chunk: string) => {
      for (const line of chunk.split('\r\n').slice(0, -1)) {
        const [, words = ''] = /^AUTH \S+ (\S+)/.exec(line) ?? [];
        const said = Buffer.from(words, 'base64').toString();
        if (words) heard.push(`${line.split(' ')[1]} ${said.replaceAll('\x01', '|')}`);
        if (refused) {
          heard.push(`heard: ${line}`);
          refused = false;
          socket.write('535 5.7.8 Not by this\r\n');
        } else if (line.startsWith('EHLO')) socket.write(`250-here\r\n250 AUTH ${offers}\r\n`);
        else if (words && !good.some((one) => said.includes(`Bearer ${one}\x01`))) {
          refused = true;
          socket.write(`334 ${Buffer.from('{"status":"401"}').toString('base64')}\r\n`);
        } else if (words) socket.write('235 Welcome\r\n');
        else socket.write('250 ok\r\n');
      }
    });
  });
  await new Promise<void>((there) => server.listen(0, '127.0.0.1', there));
  return { heard, port: (server.address() as { port: number }).port, close: () => server.close() };
}
