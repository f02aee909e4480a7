import { SMTPServer, type SMTPServerDataStream } from 'smtp-server';
import { LARGEST_MESSAGE } from '../../core/incoming/largestMessage';
import { now } from '../clock';
import { businessesOf } from './businessesOf';
import { readOriginal, takeMail, type Original } from './takeMail';

/** So many connections at once; others are asked to come again. */
const MOST_AT_ONCE = 20;
/** So many messages are read at once, as each is held whole. */
const MOST_READ = 4;

/** How mail is brought: by LMTP (RFC 2033), told for each of its readers whether it was taken; or by SMTP, told once. */
export type Protocol = 'lmtp' | 'smtp';

/**
 * Starts a server that takes mail in for the businesses here, from a mail server that brings it. It is told that a message was taken once it is
 * written down, and to come again where it could not be: nothing is lost, and what is brought twice is taken once.
 * @returns what ends it, after what it is taking
 */
export async function startIncoming(
  port: number,
  { host = '127.0.0.1', protocol = 'lmtp' }: { host?: string; protocol?: Protocol } = {},
): Promise<{ port: number; stop: () => Promise<void> }> {
  let reading = 0;
  const server = new SMTPServer({
    lmtp: protocol === 'lmtp',
    banner: 'Fair Quill',
    authOptional: true,
    disabledCommands: ['AUTH', 'STARTTLS'],
    disableReverseLookup: true,
    size: LARGEST_MESSAGE,
    maxClients: MOST_AT_ONCE,
    logger: false,
    onRcptTo({ address }, _session, done) {
      businessesOf(address).then(
        (found) => done(found.length ? null : refusal(550, '5.1.1 Nobody here has this address')),
        (error: unknown) => done(failed(error)),
      );
    },
    onData(stream, session, done) {
      if (reading >= MOST_READ) return done(refusal(451, '4.3.2 Busy: come again in a moment'));
      reading++;
      const readers = session.envelope.rcptTo.map(({ address }) => address);
      take(stream, readers)
        .then(
          // Whoever brings it by SMTP hears one answer, and brings it again for all.
          (answers) =>
            protocol === 'lmtp' ? done(null, answers as never) : done(answers.find(isError) ?? null),
          (error: unknown) => done(failed(error)),
        )
        .finally(() => reading--);
    },
  });
  // A connection that breaks is the other side's matter: it brings the message again.
  server.on('error', (error) => console.error(error.message));
  await new Promise<void>((listening, refuse) => {
    server.once('error', refuse);
    server.listen(port, host, listening);
  });
  return {
    port: (server.server.address() as { port: number }).port,
    stop: () => new Promise((stopped) => server.close(() => stopped())),
  };
}

/** Takes a message in for each of its readers; gives what is said of each. */
async function take(stream: SMTPServerDataStream, readers: readonly string[]): Promise<(string | Error)[]> {
  const chunks: Buffer[] = [];
  let length = 0;
  for await (const chunk of stream as AsyncIterable<Buffer>) {
    length += chunk.length;
    // What is too large is heard to its end, and not kept.
    if (length <= LARGEST_MESSAGE) chunks.push(chunk);
  }
  if (length > LARGEST_MESSAGE) return readers.map(() => refusal(552, '5.3.4 It is too large'));
  const original = await readOriginal(Buffer.concat(chunks));
  const answers: (string | Error)[] = [];
  for (const reader of readers)
    answers.push(await takeFor(reader, original).catch((error: unknown) => failed(error)));
  return answers;
}

async function takeFor(reader: string, original: Original): Promise<string | Error> {
  const [business] = await businessesOf(reader, original.read.mail);
  if (business === undefined) return refusal(550, '5.1.1 It does not tell for whom it is');
  const { result } = await takeMail(business, original, new Date(now()), { by: 'server' });
  return result === 'no room' ? refusal(452, '4.2.2 There is no room for it now') : 'Taken';
}

function refusal(responseCode: number, words: string): Error {
  return Object.assign(new Error(words), { responseCode });
}

function failed(error: unknown): Error {
  console.error(error);
  return refusal(451, '4.3.0 It could not be kept at the moment: come again');
}

function isError(answer: string | Error): answer is Error {
  return answer instanceof Error;
}
