import { QueryTypes } from 'sequelize';
import { beforeAll, describe, expect, it } from 'vitest';
import { withReplyMark } from '../../core/incoming/replyMark';
import { stableId } from '../../data/stableId';
import { connection } from '../connection';
import { attachment } from '../letters/attachment';
import { oneLetter } from '../letters/oneLetter';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { message, multipart } from './test/awkward';
import { CORPUS } from './test/corpus';
import { readOriginal, takeMail } from './takeMail';

demonstrationDatabase();
const AT = new Date('2026-11-25T09:00:00Z');
/** Oda's invoice of the demonstration. */
const INVOICE = stableId('message', 'm-invoice-59');
const INVOICE_ID = 'm-invoice-59@larkfield.example';

const take = async (raw: Buffer) => takeMail(imke.business_id, await readOriginal(raw), AT, { by: 'server' });
const taken = async (raw: Buffer) => {
  const became = await take(raw);
  if (became.result !== 'taken') throw new Error(became.result);
  return (await oneLetter(imke, became.message))!;
};
const ask = <T extends object>(sql: string) =>
  connection().inBusiness(imke.business_id, () =>
    connection().sequelize.query<T>(sql, { type: QueryTypes.SELECT }),
  );
const tied = async (id: string) =>
  (
    await ask<Record<string, unknown>>(
      `select came_as, quoted, answers, thread_id, client.key as client, invoice.key as invoice,
         (select sign from incoming where message_id = message.id) as sign, (select letter_id from incoming where message_id = message.id) as letter
       from message left join client on client.id = client_id left join invoice on invoice.id = invoice_id where message.id = '${id}'`,
    )
  )[0]!;

let count = 0;
const answer = (more: Record<string, string | undefined> = {}, body = 'Thank you, Imke.\n') =>
  message(
    { 'Message-ID': `<test-${++count}@hartigan.example>`, 'In-Reply-To': `<${INVOICE_ID}>`, ...more },
    body,
  );

describe('an answer', () => {
  it('is tied to the letter, the client and the invoice, its own words apart from what it quotes', async () => {
    const letter = await taken(
      answer({}, 'It is paid.\n\nOda\n\nOn 22 Nov 2026, Imke wrote:\n> Your invoice is here.\n'),
    );
    expect(letter).toMatchObject({
      direction: 'in',
      status: 'received',
      text: 'It is paid.\n\nOda',
      from_address: 'oda@hartigan.example',
      client_key: 'hartigan',
      recipients: [{ role: 'to', address: 'imke@larkfield.example' }],
    });
    expect(await tied(letter.id)).toMatchObject({
      came_as: 'answer',
      sign: 'in reply to',
      letter: INVOICE,
      answers: INVOICE,
      thread_id: INVOICE,
      client: 'hartigan',
      invoice: 'LPC-1059',
      quoted: expect.stringContaining('Your invoice is here.'),
    });
  });

  it('is known by the mark alone, also from another address', async () => {
    const { id } = await taken(
      answer({
        From: 'Per <per@elsewhere.example>',
        To: withReplyMark('imke@larkfield.example', INVOICE),
        'In-Reply-To': undefined,
      }),
    );
    expect(await tied(id)).toMatchObject({ sign: 'reply mark', client: 'hartigan', letter: INVOICE });
  });

  it('to an answer goes on in its thread', async () => {
    const first = await taken(answer());
    const [row] = await ask<{ message_id: string }>(
      `select message_id from message where id = '${first.id}'`,
    );
    const { id } = await taken(answer({ 'In-Reply-To': `<${row!.message_id}>` }));
    expect(await tied(id)).toMatchObject({ answers: first.id, thread_id: INVOICE, letter: null });
  });

  it('without any sign is known by whom it is from, a contact too', async () => {
    const { id } = await taken(
      answer({ From: 'D. Pike <D.Pike@thornholtcollege.example>', 'In-Reply-To': undefined }),
    );
    expect(await tied(id)).toMatchObject({ sign: 'address', client: 'college', letter: null });
  });

  it('of another business’s letter leads nowhere, and somebody unknown is nobody’s', async () => {
    const { id } = await taken(
      answer({
        From: 'who@nowhere.example',
        'In-Reply-To': '<m-invoice-59@other.example>',
        Subject: 'Hello',
      }),
    );
    expect(await tied(id)).toMatchObject({ sign: null, client: null, letter: null, came_as: 'answer' });
  });

  it('is taken once, however often and by however many at once it is brought', async () => {
    const raw = answer();
    const all = await Promise.all(Array.from({ length: 4 }, () => take(raw)));
    expect(all.map(({ result }) => result).sort()).toEqual(['known', 'known', 'known', 'taken']);
    expect(await take(raw)).toEqual({ result: 'known' });
    const without = answer({ 'Message-ID': undefined, Date: undefined });
    expect((await take(without)).result).toBe('taken');
    expect(await take(without)).toEqual({ result: 'known' });
  });

  it('is not kept out by another that bears its Message-ID', async () => {
    const same = { 'Message-ID': '<same@hartigan.example>' };
    await taken(answer({ ...same, From: 'mean@nowhere.example', 'In-Reply-To': undefined }));
    expect((await taken(answer(same))).client_key).toBe('hartigan');
  });

  it('that is a letter of ours come round is none', async () => {
    await connection().inBusiness(imke.business_id, () =>
      connection().sequelize.query(
        `update message set from_address = 'imke@larkfield.example' where id = '${INVOICE}'`,
      ),
    );
    const ours = { 'Message-ID': `<${INVOICE_ID}>`, 'In-Reply-To': undefined };
    expect(await take(answer({ ...ours, From: 'Imke <imke@larkfield.example>' }))).toEqual({
      result: 'known',
    });
    expect((await take(answer({ ...ours, From: 'Oda <oda@hartigan.example>' }))).result).toBe('taken');
  });

  it('has its files and its own form, in which nothing runs, and its original as it came', async () => {
    const mixed = multipart(
      'mixed',
      ['Content-Type: text/html', '<p onclick="a()">Here is <script>x()</script>it.</p>'],
      ['Content-Type: text/plain; name="Key.txt"\r\nContent-Disposition: attachment', 'B flat'],
    );
    const raw = answer(mixed.type, mixed.body);
    const letter = await taken(raw);
    expect(letter).toMatchObject({
      html: expect.stringContaining('<p>Here is it.</p>'),
      text: 'Here is it.',
    });
    expect(letter.attachments).toMatchObject([{ name: 'Key.txt', position: 1 }]);
    expect((await attachment(imke, letter.id, '1'))?.content.toString().trim()).toBe('B flat');
    const [{ content }] = (await ask<{ content: Buffer }>(
      `select content from incoming join file using (business_id, sha256) where message_id = '${letter.id}'`,
    )) as [{ content: Buffer }];
    expect(content.equals(raw)).toBe(true);
  });
});

it('a message of very many words that nobody has, and one with a very long id, are taken', async () => {
  const words = Array.from({ length: 120_000 }, (_, n) => n.toString(36).padStart(4, '𐓀')).join(' ');
  expect((await taken(answer({}, words))).text.length).toBeGreaterThan(400_000);
  const long = `<${'x'.repeat(5000)}@x.example>`;
  expect((await taken(answer({ 'Message-ID': long, From: `${'y'.repeat(5000)}@x.example` }))).status).toBe(
    'received',
  );
  const { subject } = await taken(answer({ Subject: 'z'.repeat(50_000) }));
  expect(subject.length).toBe(50_000);
});

it('what there is no room for has to be brought again', async () => {
  const { sequelize } = connection();
  await sequelize.query(`update file_room set used = used + 10000000000`);
  const raw = answer();
  expect(await take(raw)).toEqual({ result: 'no room' });
  await sequelize.query(`update file_room set used = used - 10000000000`);
  expect((await take(raw)).result).toBe('taken');
});

describe('what is no answer', () => {
  it('is said to be out of office', async () => {
    const { id } = await taken(answer({ 'Auto-Submitted': 'auto-replied' }));
    expect(await tied(id)).toMatchObject({ came_as: 'out of office', client: 'hartigan' });
  });
});

describe('a delivery report', () => {
  const report = (action: string, status: string, more: Record<string, string | undefined> = {}) => {
    const all = multipart(
      'report',
      ['Content-Type: text/plain', 'See below.'],
      [
        'Content-Type: message/delivery-status',
        `Reporting-MTA: dns; mx.example\r\n\r\nFinal-Recipient: rfc822; oda@hartigan.example\r\nAction: ${action}\r\nStatus: ${status}\r\nDiagnostic-Code: smtp; 550 ${status} no such user`,
      ],
      ['Content-Type: message/rfc822', `Message-ID: <${INVOICE_ID}>\r\nSubject: x\r\n\r\nx`],
    );
    const head = {
      From: 'mailer-daemon@mx.example',
      'In-Reply-To': undefined,
      Subject: 'Undelivered',
      ...more,
    };
    return answer({ ...all.type, ...head }, all.body);
  };
  const state = async () => {
    const letter = (await oneLetter(imke, INVOICE))!;
    return { status: letter.status, reason: letter.reason, last: letter.events.at(-1) };
  };

  it('says that a letter waits, came back, or has arrived, and becomes no message', async () => {
    expect(await take(report('delayed', '4.4.1'))).toEqual({ result: 'noted', letters: [INVOICE] });
    expect(await state()).toMatchObject({
      status: 'opened',
      last: {
        kind: 'delayed',
        detail: expect.stringMatching(/^oda@hartigan.example: .+ It is still tried\./),
      },
    });
    const failed = report('failed', '5.1.1');
    expect(await take(failed)).toEqual({ result: 'noted', letters: [INVOICE] });
    expect(await take(failed)).toEqual({ result: 'known' });
    expect(await state()).toMatchObject({
      status: 'bounced',
      reason: 'oda@hartigan.example: There is no such address. The server said: 550 5.1.1 no such user',
      last: { kind: 'bounced' },
    });
    await take(report('delivered', '2.0.0'));
    expect(await state()).toMatchObject({ status: 'bounced', last: { kind: 'delivered' } });
  });

  it('of what never went says nothing', async () => {
    await connection().inBusiness(imke.business_id, () =>
      connection().sequelize.query(`update message set status = 'held' where id = '${INVOICE}'`),
    );
    expect(await take(report('failed', '5.1.1'))).toEqual({ result: 'noted', letters: [] });
    expect((await state()).status).toBe('held');
  });
});

describe('every awkward message', () => {
  let before: number;
  beforeAll(async () => {
    before = (await ask<{ n: number }>('select count(*)::int as n from message'))[0]!.n;
  });

  it('is taken as what it is, and kept as it came', async () => {
    let [messages, at] = [0, 0];
    for (const { name, raw, told } of Object.values(CORPUS).flat()) {
      // Many of them have one Message-ID.
      const one = raw.toString('latin1').replace(/^Message-ID: *<(?=\S)/im, `Message-ID: <${++at}`);
      const became = await take(Buffer.from(one, 'latin1'));
      const wanted = told.deliveries || told.is === 'delivery report' ? 'noted' : 'taken';
      expect({ name, became: became.result }).toEqual({ name, became: wanted });
      if (became.result === 'taken') {
        messages++;
        const wanted = told.is === 'other' && told.automatic ? 'automatic' : told.is;
        if (wanted) expect({ name, as: (await tied(became.message)).came_as }).toEqual({ name, as: wanted });
      }
    }
    expect((await ask<{ n: number }>('select count(*)::int as n from message'))[0]!.n).toBe(
      before + messages,
    );
    expect(messages).toBeGreaterThan(60);
  });
});
