import { createHash } from 'node:crypto';
import { simpleParser } from 'mailparser';
import { SMTPServer } from 'smtp-server';
import { attachmentsIn } from './attachmentsIn';
import type { Letters } from './letters';

const LARGEST = 30 * 1024 * 1024;

/** Takes letters by SMTP. No sign-in and no STARTTLS: the built-in certificate is out of date. */
export function startSmtp(letters: Letters, port: number): SMTPServer {
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['AUTH', 'STARTTLS'],
    size: LARGEST,
    logger: false,
    onData(stream, session, done) {
      const chunks: Buffer[] = [];
      stream.on('data', (chunk: Buffer) => chunks.push(chunk));
      stream.on('end', () => {
        setTimeout(() => void take(Buffer.concat(chunks)), letters.delay);
      });

      async function take(raw: Buffer) {
        const refusal = letters.takeRefusal(session.envelope.rcptTo.map(({ address }) => address));
        if (refusal) return done(Object.assign(new Error(refusal.words), { responseCode: refusal.code }));
        const parsed = await simpleParser(raw);
        letters.add({
          receivedAt: new Date().toISOString(),
          from: parsed.from?.text ?? '',
          envelopeFrom: session.envelope.mailFrom ? session.envelope.mailFrom.address : '',
          to: session.envelope.rcptTo.map(({ address }) => address),
          subject: parsed.subject ?? '',
          text: parsed.text ?? '',
          html: parsed.html || '',
          headers: parsed.headerLines.map(({ key, line }) => ({
            name: key,
            value: line.replace(/^[^:]*:\s*/, ''),
          })),
          attachments: attachmentsIn(parsed).map(({ filename = 'file', size, content }) => ({
            name: filename,
            size,
            sha256: createHash('sha256').update(content).digest('hex'),
          })),
          raw: raw.toString('utf8'),
        });
        done();
      }
    },
  });
  server.on('error', (error) => console.error(error.message));
  server.listen(port, '127.0.0.1', () => console.log(`SMTP on 127.0.0.1:${port}`));
  return server;
}
