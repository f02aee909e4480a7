import { createServer, type Server } from 'node:net';

// A mail server that takes everything and keeps nothing, so that what is measured is who speaks to it. Prints its port.
createServer((socket) => {
  let inContent = false;
  let rest = '';
  socket.setEncoding('latin1').setNoDelay(true);
  socket.on('error', () => undefined);
  socket.write('220 here\r\n');
  socket.on('data', (chunk: string) => {
    rest += chunk;
    if (inContent) {
      const end = rest.indexOf('\r\n.\r\n');
      if (end < 0) {
        rest = rest.slice(-4);
        return;
      }
      rest = rest.slice(end + 5);
      inContent = false;
      socket.write('250 taken\r\n');
    }
    for (let end; !inContent && (end = rest.indexOf('\r\n')) >= 0; rest = rest.slice(end + 2)) {
      inContent = rest.startsWith('DATA');
      socket.write(inContent ? '354 go on\r\n' : '250 ok\r\n');
      if (rest.startsWith('QUIT')) socket.end();
    }
  });
}).listen(0, '127.0.0.1', function (this: Server) {
  console.log((this.address() as { port: number }).port);
});
