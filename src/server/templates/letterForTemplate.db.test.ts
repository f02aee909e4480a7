import { QueryTypes } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { letterForTemplate } from './letterForTemplate';
import { makeTemplate } from './makeTemplate';
import { templateInPencil } from './templateInPencil';

const ground = demonstrationDatabase();

async function idOf(where: string): Promise<string> {
  const [found] = await ground.database.sequelize.query<{ id: string }>(
    `select message.id from message left join client on client.id = client_id where ${where} limit 1`,
    { type: QueryTypes.SELECT },
  );
  return found!.id;
}

describe('a letter that a template is made of', () => {
  it('is what was written to a client, from what, when and by whom', async () => {
    const id = await idOf(`direction = 'out' and subject = 'Invoice LPC-1048 is still open'`);
    const letter = (await letterForTemplate(imke, id))!;
    expect(letter).toMatchObject({
      id,
      subject: [{ type: 'text', text: 'Invoice LPC-1048 is still open' }],
      start: { kind: 'invoice', key: 'LPC-1048' },
      to: 'Thornholt College',
    });
    expect(printMarkdown(letter.document)).toContain('of invoice LPC-1048, £642.00 is still to come.');
  });

  it('is none that came in, that is nobody’s, or of another business', async () => {
    expect(
      await letterForTemplate(imke, await idOf(`direction = 'in' and client.key is not null`)),
    ).toBeUndefined();
    expect(await letterForTemplate(imke, 'no-such-id')).toBeUndefined();
    expect(await letterForTemplate(imke, '00000000-0000-4000-8000-000000000000')).toBeUndefined();
    const id = await idOf(`direction = 'out'`);
    const stranger = { ...imke, business_id: '00000000-0000-4000-8000-000000000001' };
    expect(await letterForTemplate(stranger, id)).toBeUndefined();
  });
});

describe('a template with words of its own', () => {
  const words = (name: string, body: string, subject = 'S') =>
    `---\nname: ${name}\ngroup: none\nstarts from: booking\nsubject: '${subject}'\n---\n${body}\n`;

  it('is kept under the name and in the group that are chosen', async () => {
    const text = words(
      'Whatever',
      'Hello {{recipient.greeting_name}}, {{booking.starts_at | long date}}',
      '{{booking.service}}',
    );
    const made = await makeTemplate(imke, {
      name: ' Of a letter ',
      startsFrom: 'booking',
      group: 'visits',
      text,
    });
    if (made.result !== 'done') throw new Error(made.error);
    const kept = (await templateInPencil(imke, made.key))!;
    expect(kept.head).toMatchObject({ name: 'Of a letter', group: 'Visits', startsFrom: 'booking' });
    expect(kept.problems).toEqual([]);
    expect(printMarkdown(kept.document)).toBe(
      'Hello {{recipient.greeting_name}}, {{booking.starts_at | long date}}\n',
    );
  });

  it('is not made of words that cannot be read, nor under a name that is taken', async () => {
    const wrong = words('W', '{{booking.starts}}');
    expect(
      await makeTemplate(imke, { name: 'W', startsFrom: 'booking', group: null, text: wrong }),
    ).toMatchObject({
      result: 'wrong',
      error: expect.stringContaining('The booking has no field “starts”.') as string,
    });
    const right = words('W', 'Hello');
    expect(
      await makeTemplate(imke, { name: 'of a LETTER', startsFrom: 'booking', group: null, text: right }),
    ).toMatchObject({ result: 'taken', field: 'name' });
  });
});
