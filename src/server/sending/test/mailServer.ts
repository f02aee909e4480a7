import { createServer, type Server } from 'node:net';
import { readMailServer, type MailServer } from '../../../post/mailServer';

export interface TalkingServer {
  /** every line but the contents */
  heard: string[];
  content: string[];
  /** how often somebody connected */
  connections: () => number;
  address: MailServer;
  close: () => void;
}

/** What it says; the end of a content is answered by the next of `contents`. */
export interface Lines {
  greeting?: string;
  signIn?: string;
  /** an extension that it offers */
  offers?: string;
  /** by the sender's address */
  sender?: (line: string) => string;
  contents?: string[];
}

/** A mail server that says what a test wants; "hang up" ends the connection. */
export async function mailServer({
  greeting = '220 here',
  signIn,
  offers,
  sender = () => '250 ok',
  contents = [],
}: Lines = {}): Promise<TalkingServer> {
  const heard: string[] = [];
  const content: string[] = [];
  let connections = 0;
  const server: Server = createServer((socket) => {
    connections++;
    let inContent = false;
    socket.setEncoding('utf8');
    socket.write(`${greeting}\r\n`);
    socket.on('error', () => undefined);
    socket.on('data', (chunk: string) => {
      for (const line of chunk.split('\r\n').slice(0, -1)) {
        if (inContent) {
          content.push(line);
          if (line !== '.') continue;
          inContent = false;
          const answer = contents.shift() ?? '250 taken';
          if (answer === 'hang up') return socket.destroy();
          socket.write(`${answer}\r\n`);
          continue;
        }
        heard.push(line);
        if (line.startsWith('DATA')) {
          inContent = true;
          socket.write('354 go on\r\n');
        } else if (line.startsWith('EHLO') && signIn) socket.write('250-here\r\n250 AUTH PLAIN\r\n');
        else if (line.startsWith('EHLO') && offers) socket.write(`250-here\r\n250 ${offers}\r\n`);
        else if (line.startsWith('AUTH')) socket.write(`${signIn}\r\n`);
        else if (line.startsWith('MAIL')) socket.write(`${sender(line)}\r\n`);
        else socket.write('250 ok\r\n');
      }
      return undefined;
    });
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const { port } = server.address() as { port: number };
  const credentials = signIn ? 'office:secret@' : '';
  return {
    heard,
    content,
    connections: () => connections,
    address: readMailServer(`smtp://${credentials}127.0.0.1:${port}`),
    close: () => server.close(),
  };
}
