import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { simpleParser } from 'mailparser';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readDemonstration } from '../../src/data/demonstration/readDemonstration';
import { runFill } from './runFill';

const DATA = path.resolve(import.meta.dirname, '../../src/data/demonstration');
const NOW = '2026-11-25T09:00:00Z';
let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(tmpdir(), 'fill-'));
  const { records } = await readDemonstration(DATA, Date.parse(NOW));
  await writeFile(path.join(folder, 'records.json'), JSON.stringify(records, null, 1));
});

afterAll(() => rm(folder, { recursive: true }));

async function fill(...argv: string[]) {
  let [out, err] = ['', ''];
  const code = await runFill(argv, { out: (text) => (out += text), err: (text) => (err += text) });
  return { code, out, err };
}

function demonstration(template: string, from: string, ...more: string[]) {
  return fill(
    ...[
      '--template',
      path.join(DATA, 'templates', `${template}.md`),
      '--records',
      path.join(folder, 'records.json'),
    ],
    ...['--passages', path.join(DATA, 'passages'), '--now', NOW, '--from', from, ...more],
  );
}

const answer = (name: string, value: string) => ['--answer', `${name}=${value}`];
const FREE = answer('First free day', '2026-12-07');
const TWO_FREE = [...answer('One free day', '2026-12-07'), ...answer('Another free day', '2026-12-08')];
const OLD = answer('The old day', '2026-11-20');
const NEWS = answer('What there is to tell', 'All goes well.');
const NOTE = [...answer('Subject', 'A word'), ...answer('Your words', 'The key is under the mat.')];

type Case = [
  template: string,
  from: string,
  answers: string[],
  subject: string,
  facts: string[],
  absent?: string[],
];

const CASES: Case[] = [
  [
    'enquiries-thank-you-for-asking',
    'enquiry:e1',
    FREE,
    'Your tuning visit',
    ['Hello Bram,', 'You would like 4 December 2026 or 5 December 2026.', 'Monday, 7 December 2026.'],
  ],
  [
    'enquiries-thank-you-for-asking',
    'enquiry:e2',
    FREE,
    'Your concert tuning',
    ['Hello Silvio,', 'You would like 30 November 2026.'],
  ],
  [
    'enquiries-thank-you-for-asking',
    'enquiry:e5',
    FREE,
    'Your piano moving',
    ['Hello Lorcan,', 'You would like a day soon.'],
  ],
  [
    'enquiries-that-day-is-taken',
    'enquiry:e3',
    TWO_FREE,
    'Another day for your action repair?',
    ['Hello Harriet,', '7 December 2026, 8 December 2026 and 9 December 2026 are taken'],
  ],
  [
    'enquiries-that-day-is-taken',
    'enquiry:e2',
    TWO_FREE,
    'Another day for your concert tuning?',
    ['30 November 2026 is taken', 'Monday, 7 December 2026 or Tuesday, 8 December 2026'],
  ],
  [
    'enquiries-that-day-is-taken',
    'enquiry:e1',
    TWO_FREE,
    'Another day for your tuning visit?',
    ['4 December 2026 and 5 December 2026 are taken'],
  ],
  [
    'visits-visit-confirmed',
    'booking:b-hartigan',
    [],
    'Tuning visit on 26 November',
    [
      'Hello Oda,',
      'Thursday, 26 November 2026 at 09:30',
      'It takes 1 hour 30 minutes, and Teo comes to 4 Chandlers Row, Saltby, LK2 4QB.',
      '- the upright in the front room, by Tesslund',
      'The price is £78,',
      'Please leave the lid clear',
    ],
  ],
  [
    'visits-visit-confirmed',
    'booking:b-college',
    [],
    'Regulation on 4 December',
    [
      'Hello Farah,',
      'Friday, 4 December 2026 at 09:00',
      '4 hours',
      '- the upright in practice room 3, by Corviston',
      '£220',
    ],
  ],
  [
    'visits-visit-confirmed',
    'booking:b-reyes',
    [],
    'Workshop visit on 7 December',
    [
      'Hello Ada and Tom,',
      'Imke comes to The Old Net Loft, 6 Quay Lane, Saltby, LK2 4AA.',
      '- the drawing-room grand, by Bellandine',
    ],
    ['The price is'],
  ],
  [
    'visits-visit-tomorrow',
    'booking:b-hartigan',
    [],
    'Tuning visit tomorrow',
    ['Teo comes tomorrow, Thursday, at 09:30.', 'Please fill the tank'],
  ],
  [
    'visits-visit-tomorrow',
    'booking:b-delacruz',
    [],
    'Tuning visit tomorrow',
    ['Hello Marta,', 'at 13:00', 'Please fill the tank'],
  ],
  [
    'visits-visit-tomorrow',
    'booking:b-saltbyschool',
    [],
    'Tuning visit in 7 days',
    ['Hello Greta,', 'Wednesday, at 09:30'],
    ['Please fill the tank'],
  ],
  [
    'visits-we-had-to-move-your-visit',
    'booking:b-obriain',
    OLD,
    'A new day for your voicing',
    ['Hello Caoimhe,', 'Friday, 20 November 2026', 'Friday, 27 November 2026 at 10:00', '07700 900144'],
  ],
  [
    'visits-we-had-to-move-your-visit',
    'booking:b-saltbyschool',
    OLD,
    'A new day for your tuning visit',
    ['Wednesday, 2 December 2026 at 09:30', '07700 900145', 'Teo Marsh'],
  ],
  [
    'visits-we-had-to-move-your-visit',
    'booking:b-quayarts',
    OLD,
    'A new day for your concert tuning',
    ['Hello Silvio,', 'Monday, 30 November 2026 at 15:00'],
  ],
  [
    'workshop-your-instrument-is-with-us',
    'project:reyes-restoration',
    [],
    'Your instrument is with us',
    [
      'the drawing-room grand arrived safely, and the restoration of the drawing-room grand has begun.',
      'As I write: new bridge fitted, stringing next.',
      'January 2027',
    ],
  ],
  [
    'workshop-your-instrument-is-with-us',
    'project:vollrath-restoration',
    [],
    'Your instrument is with us',
    ['Hello Jannike,', 'der Flügel arrived safely', 'soundboard drying', 'February 2027'],
  ],
  [
    'workshop-your-instrument-is-with-us',
    'project:latimer-keys',
    [],
    'Your instrument is with us',
    ['Hello Godfrey,', 'December 2026'],
  ],
  [
    'workshop-how-the-work-is-going',
    'project:obriain-action',
    NEWS,
    'How the action rebuild is coming on',
    [
      'action rebuild: hammers shaped, on the bench for voicing.',
      'All goes well.',
      'Friday, 27 November 2026 at 10:00',
    ],
  ],
  [
    'workshop-how-the-work-is-going',
    'project:stroud-rebuild',
    NEWS,
    'How the rebuild of the boathouse upright is coming on',
    ['Hello Wilfred,', 'We agree on a day'],
    ['We see each other'],
  ],
  [
    'workshop-how-the-work-is-going',
    'project:college-regulation',
    NEWS,
    'How the regulation of the practice-room uprights is coming on',
    ['Hello Farah,', 'practice-room uprights.'],
  ],
  [
    'money-invoice-enclosed',
    'invoice:LPC-1059',
    [],
    'Invoice LPC-1059',
    [
      'Humidity check                   £48.00',
      'Pad set for the humidity system  £34.80',
      'Total                            £82.80',
      'Sunday, 6 December 2026',
      'Sort code 00-00-00',
      'Pay online (https://pay.larkfield.example/lpc-1059)',
    ],
  ],
  [
    'money-invoice-enclosed',
    'invoice:LPC-1058',
    [],
    'Invoice LPC-1058',
    ['Hello Dez,', '£85.50'],
    ['for the'],
  ],
  [
    'money-invoice-enclosed',
    'invoice:LPC-1048',
    [],
    'Invoice LPC-1048',
    ['Hello Hale,', 'for the regulation of the practice-room uprights', '£1,284.00'],
  ],
  [
    'money-first-reminder',
    'invoice:LPC-1048',
    [],
    'Invoice LPC-1048 is still open',
    [
      '£642.00 is still to come',
      '1 November 2026, 24 days ago',
      'Thank you for the £642.00 that came on 3 October.',
      '£321.00, now',
    ],
  ],
  [
    'money-first-reminder',
    'invoice:LPC-1034',
    [],
    'Invoice LPC-1034 is still open',
    ['Hello Joost,', '£78.00 is still to come', '63 days ago'],
    ['Thank you for the'],
  ],
  [
    'money-first-reminder',
    'invoice:LPC-1056',
    [],
    'Invoice LPC-1056 is still open',
    ['Hello Wen,', '2 days ago'],
  ],
  [
    'money-statement-of-account',
    'client:college',
    [],
    'Where your account stands on 25 November 2026',
    [
      'LPC-1048  1 November      £642.00',
      'LPC-1052  16 November      £96.00',
      'Together                  £738.00',
    ],
  ],
  [
    'money-statement-of-account',
    'client:reyes',
    [],
    'Where your account stands on 25 November 2026',
    ['LPC-1053', '£3,820.00'],
  ],
  [
    'money-statement-of-account',
    'client:ashdown',
    [],
    'Where your account stands on 25 November 2026',
    ['nothing is open on your account today. Thank you.'],
    ['Together'],
  ],
  [
    'afterwards-thank-you-and-a-question',
    'project:calder-strings',
    [],
    'Thank you for the bass strings',
    ['Hello Mr and Mrs Calder,', 'our review page (https://larkfield.example/say)'],
  ],
  [
    'afterwards-thank-you-and-a-question',
    'project:tideline-voicing',
    [],
    'Thank you for the voicing for the winter sessions',
    ['Hello Anouk,'],
  ],
  [
    'afterwards-thank-you-and-a-question',
    'project:dunmore-move',
    [],
    'Thank you for the move to the new house',
    ['Hello Alistair,'],
  ],
  ['everyday-short-note', 'client:oconnell', NOTE, 'A word', ['Hello Padraig,', 'The key is under the mat.']],
  ['everyday-short-note', 'client:quist', NOTE, 'A word', ['Hello Mags,']],
  ['everyday-short-note', 'client:fairhavenhome', NOTE, 'A word', ['Hello Constance,']],
];

describe('the twelve templates', () => {
  it.each(CASES)('%s from %s', async (template, from, answers, subject, facts, absent = []) => {
    const { code, out, err } = await demonstration(template, from, ...answers, '--as', 'json');
    expect([code, err]).toEqual([0, '']);
    const filled = JSON.parse(out) as { subject: string; text: string; holes: unknown[] };
    expect(filled.subject).toBe(subject);
    expect(filled.holes).toEqual([]);
    for (const fact of facts) expect(filled.text).toContain(fact);
    for (const words of absent) expect(filled.text).not.toContain(words);
  });

  it('are each filled for three records', () => {
    const counts = new Map<string, number>();
    for (const [template] of CASES) counts.set(template, (counts.get(template) ?? 0) + 1);
    expect([...counts.values()]).toEqual(Array(12).fill(3));
  });
});

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
    expect(parsed.text).toContain('der Flügel arrived safely');
    expect(parsed.html).toContain('der Flügel arrived safely');
    expect(parsed.date?.toISOString()).toBe('2026-11-25T09:00:00.000Z');
  });
});

describe('the exit code', () => {
  it('is 3 with holes, which are listed with their places', async () => {
    const { code, out, err } = await demonstration('everyday-short-note', 'client:quist', '--as', 'json');
    expect(code).toBe(3);
    expect(err).toMatch(
      /everyday-short-note\.md:5:11: “Subject” has not been answered\.\n.*everyday-short-note\.md:9:1: “Your words” has not been answered\.\n$/,
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
  for (const template of new Set(CASES.map(([name]) => name))) {
    const source = await readFile(path.join(DATA, 'templates', `${template}.md`), 'utf8');
    expect(printTemplate(readTemplate(source, template).value!)).toBe(source);
  }
});
