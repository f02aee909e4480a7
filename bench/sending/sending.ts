import { createTransport } from 'nodemailer';
import { QueryTypes } from 'sequelize';
import { openDatabase, type Database } from '../../src/data/database';
import { readMailServer } from '../../src/post/mailServer';
import { Sender } from '../../src/server/sending/sender';

/** Letters a run; each is the same letter of the demonstration, with its HTML. */
const LETTERS = 600;
/** What the machine does changes within seconds: one is told by the round that it shares with the other. */
const ROUNDS = 9;
/** So many connections a mail library keeps of itself (nodemailer's maxConnections). */
const POOL = 5;
const BURST = 100;

const database = openDatabase(process.env.DATABASE_URL ?? '', { connections: 8, across: true });
const servers = { 'a plain recorder': process.argv[2]!, 'the mailbox stand-in': process.argv[3]! };

await database.sequelize.query(
  "update message set status = 'taken back', goes_at = null where status = 'going'",
);
for (const [name, port] of Object.entries(servers)) {
  const letters = name.includes('stand-in') ? LETTERS / 2 : LETTERS;
  const rounds: { pooled: number; ours: number; share: number }[] = [];
  // Both are warm before anything counts: a worker runs for days.
  await pooled(Number(port), letters);
  await worker(Number(port), letters);
  for (let round = 0; round < ROUNDS; round++) {
    const bare = letters / (await pooled(Number(port), letters));
    const ours = letters / (await worker(Number(port), letters));
    rounds.push({ pooled: bare, ours, share: ours / bare });
  }
  const of = (which: 'pooled' | 'ours' | 'share') => rounds.map((round) => round[which]);
  const shares = of('share').map((share) => share.toFixed(2));
  console.log(
    `Letters a second to ${name}: ${median(of('pooled')).toFixed(0)} over ${POOL} pooled connections, ${median(of('ours')).toFixed(0)} by the worker: ${median(of('share')).toFixed(2)} of it (at least 0.7; round by round ${shares.join(' ')})`,
  );
}
console.log(
  `${BURST} letters due at once, to the stand-in: gone after ${(await burst(Number(process.argv[3]))).toFixed(1)} s (at most 3)`,
);
await database.close();

/** Seconds that a mail library takes for the same letters over its pool of connections, with no database. */
async function pooled(port: number, letters: number): Promise<number> {
  const [letter] = await rows(database, 1, 'taken back');
  const transport = createTransport({
    host: '127.0.0.1',
    port,
    ignoreTLS: true,
    pool: true,
    maxConnections: POOL,
    maxMessages: Infinity,
  });
  const began = performance.now();
  let left = letters;
  const inTurn = async () => {
    while (left-- > 0) {
      await transport.sendMail({
        from: letter!.from_address,
        to: 'somebody@kept.example',
        subject: letter!.subject,
        text: letter!.text,
        html: letter!.html,
      });
    }
  };
  await Promise.all(Array.from({ length: POOL }, inTurn));
  transport.close();
  return (performance.now() - began) / 1000;
}

async function worker(port: number, letters: number): Promise<number> {
  await rows(database, letters, 'going');
  const sender = new Sender(database, readMailServer(`smtp://127.0.0.1:${port}`));
  const began = performance.now();
  await sender.sendAllDue();
  const seconds = (performance.now() - began) / 1000;
  await requireGone();
  return seconds;
}

/** Seconds until letters that become due at one moment have gone, from a worker that waits for them. */
async function burst(port: number): Promise<number> {
  const sender = new Sender(database, readMailServer(`smtp://127.0.0.1:${port}`));
  const running = sender.run();
  await new Promise((resolve) => setTimeout(resolve, 1000));
  await rows(database, BURST, 'going');
  const began = performance.now();
  while (await going()) await new Promise((resolve) => setTimeout(resolve, 20));
  const seconds = (performance.now() - began) / 1000;
  sender.stop();
  await running;
  await requireGone();
  return seconds;
}

async function going(): Promise<number> {
  return database.models.message.count({ where: { status: 'going' } });
}

async function requireGone(): Promise<void> {
  if (await going()) throw new Error('Not all letters went.');
}

/** Letters that are due, as the writing page would have written them. */
async function rows({ sequelize }: Database, letters: number, status: string) {
  const written = await sequelize.query<{
    from_address: string;
    subject: string;
    text: string;
    html: string;
  }>(
    `with written as (
       insert into message (business_id, id, message_id, direction, status, thread_id, subject, text, html, language, at,
         member_id, from_name, from_address, goes_at)
       select business_id, gen_random_uuid(), gen_random_uuid() || '@larkfield.example', 'out', $status, gen_random_uuid(),
         'How the work is going', repeat('Hello Oda, the new key tops are being fitted this week. ', 12),
         repeat('<p style="margin:0 0 1em">Hello Oda, the new key tops are being <strong>fitted</strong> this week.</p>', 12),
         'en-GB', now(), member.id, 'Imke Sandoval', 'imke@larkfield.example', case when $status = 'going' then now() end
       from member, generate_series(1, $letters) where member.key = 'imke'
       returning business_id, id, from_address, subject, text, html),
     readers as (
       insert into message_recipient (business_id, message_id, position, role, address)
       select business_id, id, 0, 'to', id || '@kept.example' from written)
     select from_address, subject, text, html from written`,
    { bind: { letters, status }, type: QueryTypes.SELECT },
  );
  return written;
}

function median(numbers: number[]): number {
  return numbers.sort((a, b) => a - b)[Math.floor(numbers.length / 2)]!;
}
