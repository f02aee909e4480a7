import { execFile } from 'node:child_process';
import { mkdir, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { promisify } from 'node:util';
import ICAL from 'ical.js';
import { simpleParser } from 'mailparser';
import { describe, expect, it } from 'vitest';
import { answer, DATA, demonstration, fill, folder } from './test/fillDemonstration';

/** Makes a pipe that nobody writes into. */
async function pipe(name: string): Promise<string> {
  const made = path.join(folder, name);
  await rm(made, { force: true });
  await promisify(execFile)('mkfifo', [made]);
  return made;
}

const NOTE = [...answer('Subject', 'A word'), ...answer('Your words', 'The key is under the mat.')];

describe('the forms', () => {
  it('json has everything', async () => {
    const { out } = await demonstration('money-first-reminder', 'invoice:LPC-1048', '--as', 'json');
    const filled = JSON.parse(out) as Record<string, unknown> & { notes: object[]; html: string };
    expect(Object.keys(filled)).toEqual(['subject', 'to', 'text', 'html', 'notes', 'holes', 'proof']);
    expect(filled.to).toEqual([{ name: 'Hale Brandreth', email: 'accounts@thornholtcollege.example' }]);
    expect(filled.notes).toContainEqual({
      path: 'invoice.balance',
      label: 'balance',
      value: '£642.00',
      raw: 64200,
      record: 'invoice:LPC-1048',
      reason: 'the invoice you started from',
    });
    expect(filled.html).toContain('<p');
    expect(filled.proof).toEqual([]);
  });

  it('text and html stand alone', async () => {
    expect((await demonstration('everyday-short-note', 'client:quist', ...NOTE)).out).toMatch(
      /^Hello Mags,\n\n/,
    );
    expect((await demonstration('everyday-short-note', 'client:quist', ...NOTE, '--as', 'html')).out).toMatch(
      /^<p[^>]*>Hello Mags,/,
    );
  });

  it('an address in no record is written to by the name before it', async () => {
    const written = await demonstration(
      'everyday-short-note',
      'client:Wenna Ortega <wenna@ortega.example>',
      ...NOTE,
      '--as',
      'json',
    );
    expect(JSON.parse(written.out)).toMatchObject({
      to: [{ name: 'Wenna Ortega', email: 'wenna@ortega.example' }],
      text: expect.stringMatching(/^Hello Wenna,/) as string,
    });
  });

  it('eml is a message that another program reads', async () => {
    const { out } = await demonstration(
      'workshop-your-instrument-is-with-us',
      'project:vollrath-restoration',
      '--as',
      'eml',
    );
    const parsed = await simpleParser(out);
    expect(parsed.subject).toBe('Your instrument is with us');
    expect(parsed.from?.value[0]).toMatchObject({ name: 'Imke Sandoval', address: 'imke@larkfield.example' });
    expect(parsed.text).toContain('Der Flügel arrived safely');
    expect(parsed.html).toContain('Der Flügel arrived safely');
    expect(parsed.date?.toISOString()).toBe('2026-11-25T09:00:00.000Z');
  });
});

describe('pictures of a letter', () => {
  const PNG = Buffer.from('89504e470d0a1a0a00', 'hex');
  const eml = async (logo: string) => {
    const records = {
      business: { name: 'Larkfield', email: 'office@larkfield.example', logo },
      clients: [{ key: 'c1', name: 'Oda', email: 'o@x.example' }],
    };
    await writeFile(path.join(folder, 'own.json'), JSON.stringify(records));
    await writeFile(
      path.join(folder, 'own.md'),
      '---\nname: A\ngroup: G\nstarts from: client\nsubject: x\n---\n{{business.logo}}\n',
    );
    return fill(
      '--template',
      path.join(folder, 'own.md'),
      '--records',
      path.join(folder, 'own.json'),
      '--from',
      'client:c1',
      '--as',
      'eml',
    );
  };

  it('are read beside the records file and sent along', async () => {
    await writeFile(path.join(folder, 'lark.png'), PNG);
    const { code, out } = await eml('lark.png');
    expect(code).toBe(0);
    const mail = await simpleParser(out);
    expect(mail.attachments[0]).toMatchObject({ contentType: 'image/png', related: true });
    expect(mail.attachments[0]!.content.equals(PNG)).toBe(true);
  });

  it.each([
    ['none.png', 'There is no such file.'],
    ['inner', 'This is no plain file.'],
    ['pipe.png', 'This is no plain file.'],
    ['../../../etc/hostname', 'not outside its folder.'],
    ['own.json', 'Mail readers show PNG, JPEG and GIF pictures; this is none.'],
  ])('that cannot be had stop the command: %s', async (logo, message) => {
    await mkdir(path.join(folder, 'inner'), { recursive: true });
    await pipe('pipe.png');
    const { code, out, err } = await eml(logo);
    expect([code, out]).toEqual([2, '']);
    expect(err).toContain(`:1:1: `);
    expect(err).toContain(message);
  });
});

describe('a whole message', () => {
  const eml = async (head: string, client: object) => {
    const records = {
      business: { name: 'Larkfield', email: 'office@larkfield.example' },
      members: [
        { key: 'teo', full_name: 'Teo Marsh', email: 'teo@larkfield.example' },
        { key: 'imke', full_name: 'Imke Sandoval', email: 'imke@larkfield.example' },
      ],
      clients: [{ key: 'c1', responsible: 'imke', email: 'oda@x.example', ...client }],
    };
    await writeFile(path.join(folder, 'whole.json'), JSON.stringify(records));
    await writeFile(path.join(folder, 'Price list.txt'), 'Tuning 78\n');
    const template = path.join(folder, 'whole.md');
    await writeFile(template, `---\nname: A\ngroup: G\nstarts from: client\nsubject: x\n${head}---\nHello\n`);
    const result = await fill(
      ...['--template', template, '--records', path.join(folder, 'whole.json')],
      ...['--from', 'client:c1', '--member', 'teo', '--as', 'eml'],
    );
    return { ...result, mail: await simpleParser(result.out) };
  };

  it('comes from whoever is responsible, with copies and blind copies, and with its files', async () => {
    const { code, err, mail } = await eml(
      "from: responsible\ncopy: 'a@x.example'\nblind copy: 'b@x.example'\nreply to: '{{business.email}}'\nattach: [Price list.txt]\n",
      { name: 'Oda\nHartigan' },
    );
    expect([code, err]).toEqual([0, '']);
    expect(mail.from?.text).toContain('imke@larkfield.example');
    const addresses = (line: unknown) => (line as { text: string }).text;
    expect(addresses(mail.to)).toBe('"Oda Hartigan" <oda@x.example>');
    expect([addresses(mail.cc), addresses(mail.bcc), addresses(mail.replyTo)]).toEqual([
      'a@x.example',
      'b@x.example',
      'office@larkfield.example',
    ]);
    expect(mail.attachments.map(({ filename, content }) => [filename, content.toString()])).toEqual([
      ['Price list.txt', 'Tuning 78\n'],
    ]);
  });

  it('says what cannot go along, and who has no address', async () => {
    const { code, err, mail } = await eml('attach: [invoice pdf, None.pdf]\n', {
      name: 'Oda',
      email: 'oda@x.example, tom@x.example',
    });
    expect(code).toBe(3);
    expect(err).toContain('There is no invoice that could go along.');
    expect(err).toContain('“None.pdf” cannot be attached. There is no such file.');
    expect(err).toContain('To: “oda@x.example, tom@x.example” is no email address.');
    expect(mail.to).toBeUndefined();
  });
});

describe('papers made of a letter’s own records', () => {
  const records = {
    business: {
      name: 'Larkfield',
      email: 'office@larkfield.example',
      phone: '01632 960100',
      locale: 'en-GB',
    },
    members: [{ key: 'imke', full_name: 'Imke Sandoval', email: 'imke@larkfield.example' }],
    clients: [{ key: 'c1', name: 'Oda Hartigan', email: 'oda@x.example', address: { town: 'Saltby' } }],
    bookings: [
      {
        key: 'b1',
        client: 'c1',
        service: 'tuning visit',
        status: 'confirmed',
        starts_at: '2026-03-03T09:30:00Z',
        ends_at: '2026-03-03T11:00:00Z',
        notes: 'The dog bites',
      },
      { key: 'b2', client: 'c1', service: 'hire', status: 'tentative' },
    ],
    invoices: [
      {
        key: 'K-7',
        number: 'K-7',
        client: 'c1',
        status: 'sent',
        issued_on: '2026-02-20',
        due_on: '2026-03-20',
        lines: [{ description: 'Tuning', unit_price: 8500 }],
      },
    ],
  };
  const eml = async (from: string, paper: string, now = '2026-03-02T09:00:00Z') => {
    await writeFile(path.join(folder, 'papers.json'), JSON.stringify(records));
    const template = path.join(folder, 'papers.md');
    const kind = from.split(':')[0]!;
    await writeFile(
      template,
      `---\nname: A\ngroup: G\nstarts from: ${kind}\nsubject: x\nattach: [${paper}]\n---\nHello\n`,
    );
    const result = await fill(
      ...['--template', template, '--records', path.join(folder, 'papers.json')],
      ...['--from', from, '--as', 'eml', '--now', now],
    );
    return { ...result, mail: await simpleParser(result.out) };
  };

  it('the invoice as PDF', async () => {
    const { code, mail } = await eml('invoice:K-7', 'invoice pdf');
    expect(code).toBe(0);
    const [file] = mail.attachments;
    expect(file).toMatchObject({ filename: 'K-7.pdf', contentType: 'application/pdf' });
    expect(file!.content.subarray(0, 5).toString()).toBe('%PDF-');
  });

  it('the visit’s calendar entry, read back: one that is written later counts more, and what the house notes for itself stays there', async () => {
    const entry = async (now?: string) => {
      const { code, mail } = await eml('booking:b1', 'booking calendar entry', now);
      expect(code).toBe(0);
      expect(mail.attachments[0]).toMatchObject({
        filename: 'tuning visit.ics',
        contentType: 'text/calendar',
      });
      const words = mail.attachments[0]!.content.toString();
      expect(words).not.toContain('dog');
      const calendar = new ICAL.Component(ICAL.parse(words) as string);
      expect(calendar.getFirstPropertyValue('method')).toBe('PUBLISH');
      return new ICAL.Event(calendar.getFirstSubcomponent('vevent')!);
    };
    const first = await entry();
    expect(first.summary).toBe('Tuning visit, Larkfield');
    expect(first.startDate.toJSDate().toISOString()).toBe('2026-03-03T09:30:00.000Z');
    expect(first.endDate.toJSDate().toISOString()).toBe('2026-03-03T11:00:00.000Z');
    expect(first.location).toBe('Saltby');
    expect(String(first.organizer)).toBe('mailto:office@larkfield.example');
    const later = await entry('2026-03-02T09:05:00Z');
    expect(later.uid).toBe(first.uid);
    expect(later.sequence - first.sequence).toBe(5);
  });

  it('one that cannot be made is a hole, never silence', async () => {
    const { code, err, mail } = await eml('booking:b2', 'booking calendar entry');
    expect(code).toBe(3);
    expect(err).toContain('The visit has no beginning and end for a calendar entry yet.');
    expect(mail.attachments).toEqual([]);
  });
});

describe('files that are not what they should be', () => {
  const records = () => path.join(folder, 'records.json');
  const from = ['--from', 'client:quist'];

  it.each([
    [
      'Windows-1252',
      Buffer.from('---\nname: A\n---\nGr\xfc\xdfe\n', 'latin1'),
      ':4:3: This is not UTF-8 (the byte FC)',
    ],
    ['UTF-16', Buffer.from('\ufeff---\nname: A', 'utf16le'), ':1:1: This is UTF-16.'],
  ])('in %s are told with the place', async (name, content, message) => {
    const template = path.join(folder, `${name}.md`);
    await writeFile(template, content);
    const { code, out, err } = await fill('--template', template, '--records', records(), ...from);
    expect([code, out]).toEqual([2, '']);
    expect(err).toContain(template + message);
  });

  it('a true mark of replacement is a character like others', async () => {
    const template = path.join(folder, 'mark.md');
    await writeFile(template, '---\nname: A\ngroup: G\nstarts from: client\nsubject: x\n---\na \ufffd b\n');
    expect((await fill('--template', template, '--records', records(), ...from)).out).toBe('a \ufffd b\n');
  });

  it('folders and pipes are not waited for', async () => {
    const template = path.join(DATA, 'templates', 'everyday-short-note.md');
    expect((await fill('--template', folder, '--records', records(), ...from)).err).toContain(
      'This is a folder.',
    );
    const own = await pipe('records.pipe');
    expect((await fill('--template', template, '--records', own, ...from)).err).toContain(
      'This is no plain file.',
    );
  });
});

describe('the exit code', () => {
  it('is 3 with holes, which are listed with their places', async () => {
    const { code, out, err } = await demonstration('everyday-short-note', 'client:quist', '--as', 'json');
    expect(code).toBe(3);
    expect(err).toMatch(
      /everyday-short-note\.md:5:11: “Subject” has not been answered\.\n.*everyday-short-note\.md:10:1: “Your words” has not been answered\.\n$/,
    );
    expect((JSON.parse(out) as { proof: object[] }).proof).toContainEqual({
      kind: 'stop',
      message: '“Subject” has not been answered.',
    });
  });

  it('says that somebody has no email address', async () => {
    const { out } = await demonstration('everyday-short-note', 'client:oconnell', ...NOTE, '--as', 'json');
    expect((JSON.parse(out) as { proof: object[] }).proof).toEqual([
      { kind: 'stop', message: 'Padraig O’Connell has no email address. Add one, or choose another person.' },
    ]);
  });

  it.each([
    [['client:nobody'], 'There is no client “nobody”.'],
    [['client:qist'], 'Did you mean “client:quist”?'],
    [['booking:b-hartigan'], '“Short note” starts from client, and --from names booking:b-hartigan.'],
    [['client:college', '--to', 'halle'], 'Thornholt College has no contact “halle”. Did you mean “hale”?'],
    [['client:quist', '--member', 'imk'], 'There is no member “imk”. Did you mean “imke”?'],
    [
      ['client:quist', '--answer', 'Yor words=x'],
      'The template has no blank “Yor words”. Did you mean “Your words”?',
    ],
    [['client:quist', '--now', 'today'], '“--now” is a moment as 2026-03-02T09:00:00Z, not “today”.'],
    [['client:quist', '--as', 'pdf'], '“--as” is one of text, html, eml, json, not “pdf”.'],
    [['client:quist', '--memebr', 'x'], 'There is no flag “--memebr”. Did you mean “--member”?'],
    [['quist'], '“--from” is a record as invoice:KEY'],
    [['client:quist', '--passages', '/nowhere'], '/nowhere:1:1: There is no such file or folder.'],
  ])('is 2 for %j', async (argv, message) => {
    const { code, out, err } = await demonstration('everyday-short-note', ...(argv as [string]));
    expect([code, out]).toEqual([2, '']);
    expect(err).toContain(message);
  });

  it('is 2 for an answer that does not fit', async () => {
    const { code, err } = await demonstration(
      'enquiries-thank-you-for-asking',
      'enquiry:e1',
      ...answer('First free day', 'Monday'),
    );
    expect([code, err]).toEqual([
      2,
      'fill: The answer to “First free day” is a date, as 2026-03-31, not “Monday”.\n',
    ]);
  });

  it('is 2 for files that cannot be used, with every error', async () => {
    const [template, records] = [path.join(folder, 'bad.md'), path.join(folder, 'bad.json')];
    await writeFile(template, '---\nname: X\ngroup: G\nstarts from: client\n---\n{{client.name | uper}}\n');
    await writeFile(records, '{"business": {"nam": "L"}}');
    const { code, err } = await fill('--template', template, '--records', records, '--from', 'client:c1');
    expect(code).toBe(2);
    expect(err.trimEnd().split('\n')).toEqual([
      `${template}:1:1: The head needs “subject”.`,
      `${template}:6:17: There is no step “uper”. Did you mean “upper”?`,
      `${records}:1:15: A business has no key “nam”. Did you mean “name”?`,
    ]);
  });

  it('is 2 without arguments, with how it is written', async () => {
    const { code, err } = await fill();
    expect(code).toBe(2);
    expect(err).toContain('“--template” is missing.');
    expect(err).toContain('fill --template FILE.md');
  });
});

it('a letter goes to the contact chosen, with the member chosen', async () => {
  const { out } = await demonstration(
    'everyday-short-note',
    'client:college',
    '--to',
    'hale',
    '--member',
    'teo',
    ...NOTE,
    '--as',
    'json',
  );
  const filled = JSON.parse(out) as { to: object[]; text: string };
  expect(filled.to).toEqual([{ name: 'Hale Brandreth', email: 'accounts@thornholtcollege.example' }]);
  expect(filled.text).toContain('Hello Hale,');
  expect(filled.text).toContain('Teo Marsh');
});

it('the templates round trip to the letter', async () => {
  const { readTemplate } = await import('../../src/core/template/text/readTemplate');
  const { printTemplate } = await import('../../src/core/template/text/printTemplate');
  for (const template of await readdir(path.join(DATA, 'templates'))) {
    const source = await readFile(path.join(DATA, 'templates', template), 'utf8');
    expect(printTemplate(readTemplate(source, template).value!)).toBe(source);
  }
});
