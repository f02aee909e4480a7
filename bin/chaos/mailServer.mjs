// A mail server that has written a letter to the disk before it says that it took it: mailServer.mjs PORT FILE
import { fsyncSync, openSync, writeSync } from 'node:fs';
import { createServer } from 'node:net';

const [, , port, file] = process.argv;
const kept = openSync(file, 'a');

createServer((socket) => {
  let content;
  let rest = '';
  socket.setEncoding('latin1');
  socket.on('error', () => undefined);
  socket.write('220 here\r\n');
  socket.on('data', (chunk) => {
    rest += chunk;
    for (let end; (end = rest.indexOf('\r\n')) >= 0;) {
      const line = rest.slice(0, end);
      rest = rest.slice(end + 2);
      if (content === undefined) {
        if (/^DATA/i.test(line)) content = '';
        socket.write(content === undefined ? '250 ok\r\n' : '354 go on\r\n');
        if (/^QUIT/i.test(line)) socket.end();
      } else if (line === '.') {
        const id = /^Message-ID: *<([^>]*)>/im.exec(content)?.[1] ?? 'none';
        content = undefined;
        // It takes a while, as a real one does: there are moments to be killed in.
        setTimeout(() => {
          writeSync(kept, `${id}\n`);
          fsyncSync(kept);
          setTimeout(() => socket.write('250 taken\r\n'), 5);
        }, 20);
      } else content += `${line}\n`;
    }
  });
}).listen(Number(port), '127.0.0.1');
