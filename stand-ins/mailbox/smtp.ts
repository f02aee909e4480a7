import { SMTPServer, type SMTPServerOptions } from 'smtp-server';
import type { Grants } from '../provider/grants';
import type { Letters } from './letters';

const LARGEST = 30 * 1024 * 1024;

/**
 * Takes letters by SMTP. No STARTTLS: the built-in certificate is out of date.
 * @param grants whoever signs in has a token of a provider; absent: nobody signs in
 */
export function startSmtp(letters: Letters, port: number, grants?: Grants): SMTPServer {
  const server = new SMTPServer({
    ...(grants ? signedIn(grants) : { authOptional: true, disabledCommands: ['AUTH', 'STARTTLS'] }),
    size: LARGEST,
    logger: false,
    onData(stream, session, done) {
      if (letters.takeCut()) {
        const [open] = [...server.connections].filter((one) => one.session === session);
        stream.once('data', () => open?._socket.destroy());
        return;
      }
      const chunks: Buffer[] = [];
      stream.on('data', (chunk: Buffer) => chunks.push(chunk));
      stream.on('end', () => {
        setTimeout(() => void take(Buffer.concat(chunks)), letters.delay);
      });

      async function take(raw: Buffer) {
        const refusal = letters.takeRefusal(session.envelope.rcptTo.map(({ address }) => address));
        if (refusal) return done(Object.assign(new Error(refusal.words), { responseCode: refusal.code }));
        const { mailFrom, rcptTo } = session.envelope;
        await letters.take(raw, {
          from: mailFrom ? mailFrom.address : '',
          to: rcptTo.map(({ address }) => address),
        });
        done();
      }
    },
  });
  server.on('error', (error) => console.error(error.message));
  server.listen(port, '127.0.0.1', () => console.log(`SMTP on 127.0.0.1:${port}`));
  return server;
}

/** Nobody sends but by a token that is good, and as whom it was given. */
function signedIn(grants: Grants): SMTPServerOptions {
  return {
    authOptional: false,
    allowInsecureAuth: true,
    authMethods: ['XOAUTH2'],
    disabledCommands: ['STARTTLS'],
    onAuth: ({ username, accessToken }, _, done) =>
      username !== undefined && grants.userOf(accessToken ?? '') === username
        ? done(null, { user: username })
        : done(null, { data: { status: '401', schemes: 'bearer', scope: 'mail' } } as never),
  };
}
