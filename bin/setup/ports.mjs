import { createServer } from 'node:net';
import { Sentence } from './sentence.mjs';

/** Whether a port can be listened on. */
export function isFree(port, host = '127.0.0.1') {
  return new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(false));
    server.listen({ port, host, exclusive: true }, () => server.close(() => resolve(true)));
  });
}

/** A free port on loopback, below those that outgoing connections are given: none takes it before it is listened on. */
export async function freePort() {
  for (let tries = 0; tries < 50; tries++) {
    const port = 20_000 + Math.floor(Math.random() * 12_000);
    if (await isFree(port)) return port;
  }
  throw new Sentence('No free port was found on 127.0.0.1.');
}

/** How long a port may still be held by an application that is ending, in milliseconds. */
const ENDING = 3_000;

/** Waits for a port that is still being let go of; else says which is taken and how to choose another. */
export async function requireFree(port, host, setting, what) {
  const until = Date.now() + ENDING;
  while (!(await isFree(port, host))) {
    if (Date.now() >= until)
      throw new Sentence(
        `Port ${port} on ${host}, for ${what}, is in use. Stop what runs there, or choose another: ${setting}=${port + 1} npm start`,
      );
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}
