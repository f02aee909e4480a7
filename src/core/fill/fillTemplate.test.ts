import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fillSample, problemsOf, SAMPLE } from './test/fillSample';

const text = (body: string, more: Parameters<typeof fillSample>[1] = {}) =>
  fillSample(body, more).text.trimEnd();

describe('paths are judged by the list of fields', () => {
  it.each([
    ['{{invoice.numbr}}', 't.md:7:1: The invoice has no field “numbr”. Did you mean “invoice.number”?'],
    ['{{invoce.number}}', 't.md:7:1: There is no field or record “invoce”. Did you mean “invoice”?'],
    ['{{client.next_booking.servce}}', 'Did you mean “client.next_booking.service”?'],
    ['{{client.address.city}}', 't.md:7:1: An address has no part “city”.'],
    [
      '{{client.invoices.number}}',
      '“client.invoices” has no field “number”. It is a list of invoices: use a section',
    ],
    ['{{invoice.total.pence}}', 'It is money and has no parts.'],
    [
      '{{item.name}}',
      'There is no single item to write about: use a section over a list of them, as {{#booking.items}}.',
    ],
    [
      '{{enquiry.service}}',
      'A message written from an invoice leads to no enquiry; it leads to invoice, project, client, booking.',
    ],
    ['{{client.custom.parking}}', 'The client has no custom field “parking”.'],
    ['{{#client.items}}{{custom.makr}}{{/client.items}}', 'Did you mean “custom.maker”?'],
    ['{{links.reviw}}', 'There is no link “reviw”. Did you mean “links.review”?'],
    ['{{constructor}}', 'There is no field or record “constructor”.'],
    ['{{client.__proto__}}', 'The client has no field “__proto__”.'],
    ['{{client.toString}}', 'The client has no field “toString”.'],
    ['{{.}}', '“.” stands for the value of a section, and there is none around it.'],
    ['{{> Terms}}', 'There is no passage “Terms”.'],
  ])('%s: %s', (body, message) => expect(problemsOf(body).join('\n')).toContain(message));

  it('and all mistakes are reported at once, with their places, whatever their kind', () => {
    const problems = problemsOf('{{invoice.numbr}} {{client.nam}}\n\n{{booking.starts_at | tim}}\n\n{{#a}}', {
      subject: '{{x}}',
    });
    expect(problems.map((one) => one.slice(0, one.indexOf(' ')))).toEqual([
      't.md:5:11:',
      't.md:7:1:',
      't.md:7:19:',
      't.md:9:23:',
      't.md:11:1:',
      't.md:11:1:',
    ]);
  });
});

describe('sections', () => {
  it('over a list repeat, and names are looked up in the item first, then outward', () => {
    expect(
      text(
        '{{#client.invoices}}\n{{number}} for {{client.name}}, {{balance}} of {{invoice.number}}.\n{{/client.invoices}}',
      ),
    ).toBe('K-101 for Oda Hartigan, £634.50 of K-101.\n\nK-102 for Oda Hartigan, £96.00 of K-101.');
  });

  it('over a record show once and look into it', () => {
    expect(text('{{#client.next_booking}}{{service}} {{starts_at | from now}}{{/client.next_booking}}')).toBe(
      'tuning visit tomorrow',
    );
  });

  it('over yes or no show or not', () => {
    expect(
      text(
        '{{#invoice.is_overdue}}late{{/invoice.is_overdue}}{{^invoice.is_paid}} unpaid{{/invoice.is_paid}}',
      ),
    ).toBe('late unpaid');
  });

  it('over another value show when it is set, and “.” is the value', () => {
    expect(text('{{#invoice.number}}<{{.}}>{{/invoice.number}}{{#client.mobile}}x{{/client.mobile}}')).toBe(
      '<K-101>',
    );
    expect(text('{{#client.tags}}[{{.}}]{{/client.tags}}')).toBe('[school][regular]');
    expect(text('{{#enquiry.wanted_on}}{{. | weekday}} {{/enquiry.wanted_on}}', { from: 'enquiry:e1' })).toBe(
      'Monday Tuesday',
    );
  });

  it('count 0 as something', () => {
    expect(
      text('{{#invoice.days_until_due}}{{.}}{{/invoice.days_until_due}}', { now: '2026-02-03T09:00:00Z' }),
    ).toBe('0');
    expect(text('{{^client.enquiries | count}}none{{/client.enquiries}}x')).toBe('x');
  });

  it('turned round show for nothing', () => {
    expect(
      text('{{^client.enquiries}}none{{/client.enquiries}} {{^client.mobile}}no mobile{{/client.mobile}}'),
    ).toBe('none no mobile');
  });

  it('leave no empty lines behind', () => {
    expect(
      text(
        'one\n\n{{#invoice.is_paid}}\npaid\n{{/invoice.is_paid}}\n\n{{! a note }}\n\ntwo\n{{! note }}\nthree',
      ),
    ).toBe('one\n\ntwo\nthree');
  });
});

describe('only when', () => {
  it.each([
    ['invoice.days_overdue at least 14', true],
    ['invoice.days_overdue over 27', false],
    ['invoice.balance over £634.49', true],
    ['invoice.balance over 634', true],
    ['invoice.balance at most 634.50', true],
    ['invoice.balance under client.outstanding', true],
    ['invoice.due_on before today', true],
    ['invoice.due_on after 2026-02-03', false],
    ['invoice.due_on at least 2026-02-03', true],
    ['booking.starts_at after today', true],
    ['booking.starts_at is 2026-03-03', true],
    ['booking.starts_at after now', true],
    ['booking.starts_at | plus 1 day after 2026-03-03', true],
    ['client.name contains "hart"', true],
    ['client.tags contains "school"', true],
    ['client.tags contains "scho"', false],
    ['client.name is "oda hartigan"', false],
    ['client.mobile is "x"', false],
    ['client.mobile is not "x"', true],
    ['client.mobile is set', false],
    ['client.mobile is not set', true],
    ['client.enquiries is set', false],
    ['client.items | count over 1', true],
    ['invoice.is_overdue and client.mobile is set', false],
    ['invoice.is_paid or client.name is set', true],
    ['invoice.is_paid is no', true],
    ['booking.duration over 2', true],
    ['invoice.net | share 10% under 104', true],
  ])('%s is %s', (condition, expected) => {
    expect(text(`{{#when ${condition}}}yes{{otherwise}}no{{/when}}`)).toBe(expected ? 'yes' : 'no');
  });
});

describe('blanks', () => {
  it('are asked once and used wherever they occur', () => {
    const body =
      '{{? Rate}} {{#when invoice.balance over ? "Rate"}}over{{/when}} {{? Rate : money = 65.00 | whole money}}';
    expect(text(body)).toBe('£65.00 over £65');
    expect(text(body, { answers: { Rate: 70050 } })).toBe('£700.50  £700.50');
  });

  it('defined twice must be alike', () => {
    expect(problemsOf('{{? A : money}} {{? A : date}}')[0]).toContain(
      't.md:7:17: The blank “A” is defined twice, and not alike.',
    );
    expect(problemsOf('{{? A : money}} {{? A : money}}')).toEqual([]);
  });

  it('have defaults of their type', () => {
    expect(problemsOf('{{? Day : date = tomorrow}}')[0]).toContain(
      'must be a date, as 2026-03-31, not “tomorrow”.',
    );
    expect(problemsOf('{{? Size : choice of "a" "b" = c}}')[0]).toContain('must be one of a, b');
  });

  it('without an answer are holes', () => {
    const { text: filled, holes } = fillSample('{{? Hourly rate : money}}');
    expect(filled).toBe('[Hourly rate]\n');
    expect(holes).toMatchObject([
      {
        path: 'Hourly rate',
        label: 'Hourly rate',
        file: 't.md',
        line: 7,
        column: 1,
        reason: '“Hourly rate” has not been answered.',
      },
    ]);
  });
});

describe('passages', () => {
  it('see the item they stand in and may hold others', () => {
    expect(
      text('{{#client.invoices}}\n{{> Row}}\n{{/client.invoices}}', {
        passages: { Row: '{{number}}: {{> Sum}}\n', Sum: '{{balance}}\n' },
      }),
    ).toBe('K-101: £634.50\n\nK-102: £96.00');
  });

  it('in a circle are an error that names it', () => {
    const passages = { A: '{{> B}}\n', B: 'x\n\n{{> A}}\n' };
    expect(problemsOf('{{> A}}', { passages })).toEqual([
      'B.md:3:1: The passages go round in a circle: A → B → A.',
    ]);
  });

  it('with a mistake report it in their own file, once', () => {
    const passages = { A: 'x {{invoice.numbr}}\n' };
    expect(problemsOf('{{> A}}\n\n{{> A}}', { passages })).toEqual([
      'A.md:1:3: The invoice has no field “numbr”. Did you mean “invoice.number”?',
    ]);
  });

  it('of several paragraphs stand on a line of their own', () => {
    expect(problemsOf('x {{> A}}', { passages: { A: 'a\n\nb\n' } })[0]).toContain(
      'put {{> A}} on a line of its own',
    );
  });
});

describe('holes', () => {
  it('are all reported and shown by their label', () => {
    const {
      text: filled,
      holes,
      subject,
    } = fillSample('{{client.mobile}} {{#client.items}}{{custom.maker}} {{/client.items}}', {
      subject: '{{client.address.town}}',
    });
    expect(subject).toBe('[client address town]');
    expect(filled).toBe('[client mobile] Tesslund [maker]\n');
    expect(holes.map(({ path, line, column, reason }) => [path, line, column, reason])).toEqual([
      ['client.address.town', 5, 11, 'The client Oda Hartigan has no town.'],
      ['client.mobile', 7, 1, 'The client Oda Hartigan has no mobile.'],
      ['custom.maker', 7, 36, 'The grand has no maker.'],
    ]);
  });

  it('are none in what is not shown', () => {
    const { holes } = fillSample(
      '{{#client.enquiries}}{{client.mobile}}{{/client.enquiries}}{{#when invoice.is_paid}}{{client.mobile}}{{/when}}',
    );
    expect(holes).toEqual([]);
  });

  it('are gaps and unfinished parts, which stand as their text', () => {
    const { text: filled, holes } = fillSample('{{gap "the price"}} at {{unfinished "12 Harbour Road"}}');
    expect(filled).toBe('the price at 12 Harbour Road\n');
    expect(holes).toHaveLength(2);
  });

  it('say where the way ends, never that a record is missing which is there', () => {
    const records = { bookings: [], projects: [], invoices: [] };
    const more = { from: 'client:c1' as const, records };
    const reason = (tag: string) => fillSample(tag, more).holes[0]!.reason;
    expect(reason('{{client.last_booking.starts_at}}')).toBe(
      'No start: the client Oda Hartigan has no last booking.',
    );
    expect(reason('{{client.responsible.mobile}}')).toBe(
      'No mobile: the client Oda Hartigan has no responsible.',
    );
    expect(reason('{{invoice.client.name}}')).toBe('No name: there is no invoice.');
    expect(reason('{{client.mobile}}')).toBe('The client Oda Hartigan has no mobile.');
  });

  it('name a record that is not there', () => {
    const { holes } = fillSample('{{booking.service}}', { from: 'enquiry:e1' });
    expect(holes[0]?.reason).toBe('No service: there is no booking.');
  });
});

describe('notes', () => {
  it('say what, where from and why, one for each occurrence', () => {
    const { notes } = fillSample(
      '{{invoice.balance | whole money}} {{recipient.greeting_name}} {{#client.invoices}}{{due_on}} {{/client.invoices}}{{booking.starts_at | time}} {{business.name}} {{today}}',
    );
    expect(notes).toMatchObject([
      {
        path: 'invoice.balance',
        label: 'balance',
        value: '£634.50',
        raw: 63450,
        record: 'invoice:K-101',
        reason: 'the invoice you started from',
      },
      { path: 'recipient.greeting_name', value: 'Oda', record: 'client:c1', reason: 'the client' },
      {
        path: 'due_on',
        value: '3 February 2026',
        raw: '2026-02-03',
        record: 'invoice:K-101',
        reason: 'number 1 of 2 in the list',
      },
      {
        path: 'due_on',
        value: '20 March 2026',
        record: 'invoice:K-102',
        reason: 'number 2 of 2 in the list',
      },
      {
        path: 'booking.starts_at',
        value: '09:30',
        raw: '2026-03-03T09:30:00+00:00',
        record: 'booking:b1',
        reason: 'the first visit for the project after the invoice',
      },
      { path: 'business.name', record: 'business' },
      { path: 'today', value: '2 March 2026', raw: '2026-03-02', reason: 'today’s date' },
    ]);
    expect(notes.at(-1)).not.toHaveProperty('record');
  });

  it('of an enquirer who is no client name the enquiry', () => {
    const { notes } = fillSample('{{recipient.greeting_name}} {{client.email}}', { from: 'enquiry:e1' });
    expect(notes.map(({ value, record }) => [value, record])).toEqual([
      ['Bram', 'enquiry:e1'],
      ['bram@tolliver.example', 'enquiry:e1'],
    ]);
  });

  it('of an instalment and a line name their invoice, in whatever section', () => {
    const { notes } = fillSample(
      '{{#client.invoices}}{{invoice.next_instalment.amount}}{{#lines}}{{net}}{{quantity}}{{/lines}}{{number}}{{/client.invoices}}',
    );
    expect(notes.map(({ path, record }) => `${path} ${record}`)).toEqual([
      'invoice.next_instalment.amount invoice:K-101',
      'net invoice:K-101',
      'quantity invoice:K-101',
      'net invoice:K-101',
      'quantity invoice:K-101',
      'number invoice:K-101',
      'invoice.next_instalment.amount invoice:K-101',
      'net invoice:K-102',
      'quantity invoice:K-102',
      'number invoice:K-102',
    ]);
    expect(new Set(notes.map(({ id }) => id)).size).toBe(notes.length);
    expect(notes[2]!.reason).toBe('number 1 of 2 in the list');
    expect(notes[4]!.reason).toBe('number 2 of 2 in the list');
    const among = fillSample('{{#client.items}}{{invoice.next_instalment.amount}}{{/client.items}}').notes;
    expect(new Set(among.map(({ record }) => record))).toEqual(new Set(['invoice:K-101']));
  });

  it('of a line say 1 for a quantity that is left out', () => {
    expect(text('{{#invoice.lines}}{{quantity}} at {{tax_rate}}, {{/invoice.lines}}')).toBe(
      '2 at 20%, 1 at 0%,',
    );
  });

  it('of a line name its invoice', () => {
    const { notes } = fillSample('{{#invoice.lines}}{{amount}}{{/invoice.lines}}');
    expect(notes.map(({ record }) => record)).toEqual(['invoice:K-101', 'invoice:K-101']);
  });
});

describe('a text of any size or depth', () => {
  it('reads in order of its length', () => {
    const { text: filled } = fillSample('{{client.name}} word '.repeat(10_000));
    expect(filled.length).toBe('Oda Hartigan word '.length * 10_000);
  });

  it('is refused with a reason where it is nested too deep', () => {
    expect(problemsOf(`${'['.repeat(5000)}x${']{.large}'.repeat(5000)}`)[0]).toContain(
      'Words are marked more than 100 deep.',
    );
    const bullets = Array.from({ length: 220 }, (_, depth) => `${' '.repeat(2 * depth)}- x`).join('\n');
    expect(problemsOf(bullets)[0]).toContain('Blocks are nested more than 200 deep.');
    expect(problemsOf('{{client.name}}'.repeat(20_001))[0]).toContain(
      'There are more than 20000 tags in this text.',
    );
  });
});

describe('people', () => {
  it('several are greeted together, other fields are the first one’s', () => {
    const recipients = [
      { kind: 'contact' as const, data: { key: 'a', given_name: 'Ada', email: 'ada@x.example' } },
      { kind: 'contact' as const, data: { key: 'b', given_name: 'Tom', email: 'tom@x.example' } },
    ];
    const filled = fillSample('{{recipient.greeting_name}} {{recipient.given_name}}', {
      wishes: { sender: SAMPLE.members![0]!, recipients },
    });
    expect(filled.text).toBe('Ada and Tom Ada\n');
    expect(filled.to.map(({ email }) => email)).toEqual(['ada@x.example', 'tom@x.example']);
  });

  it('sign with their signature, else with what is known of them', () => {
    expect(text('{{signature}}')).toBe(
      'Imke Sandoval\nLarkfield Piano Care\n07700 900144\nimke@larkfield.example',
    );
    const sender = { key: 'teo', full_name: 'Teo Marsh', signature: 'Teo\non the road' };
    expect(text('{{signature}}', { wishes: { sender } })).toBe('Teo\non the road');
  });

  it('do not sign where the head says that there is no signature, in a passage either', () => {
    const close = 'Kind regards\n\n{{signature}}\n';
    const filled = fillSample('{{> close}}', { passages: { close }, head: 'signature: none\n' });
    expect([filled.text.trim(), filled.signatureAt, filled.notes]).toEqual(['Kind regards', undefined, []]);
    expect(text('{{> close}}', { passages: { close } })).toMatch(/^Kind regards\n\nImke Sandoval\n/);
  });

  it.each([
    ['Hello,\n\n{{signature}}', 'Hello,\n\n'],
    ['Yours,\\\n{{signature}}', 'Yours,\n'],
    ['{{signature}}', ''],
    ['::: {.right}\n{{signature}}\n:::', ''],
  ])('sign at the end of %j, which is told', (body, before) => {
    const filled = fillSample(body);
    expect(filled.text.slice(0, filled.signatureAt)).toBe(before);
    expect(filled.text.slice(filled.signatureAt)).toMatch(/^Imke Sandoval\nLarkfield/);
  });

  it.each([
    'no signature',
    '{{signature}}\n\nP.S. One more thing.',
    'Yours, {{signature}}',
    '- {{signature}}',
  ])('have no signature at the end of %j', (body) => expect(fillSample(body).signatureAt).toBeUndefined());
});

describe('a value', () => {
  it('has one kind of line break, whatever it had where it came from', () => {
    const business = { payment_details: 'Bank\r\naccount 1\rcode 2' };
    const filled = fillSample('{{business.payment_details}}', { business });
    expect(filled.text).toBe('Bank\naccount 1\ncode 2\n');
    expect(filled.html).toContain('Bank<br>account 1<br>code 2');
  });
});

describe('what comes out', () => {
  const table =
    '| What | Sum |\n|---|--:|\n{{#invoice.lines}}\n| {{description}} | {{amount}} |\n{{/invoice.lines}}';

  it('as text is aligned, marked with - and 1., and not wrapped', () => {
    expect(text(table)).toBe(`What${' '.repeat(17)}Sum\nRegulation     £1,200.00\nFelt & <glue>     £34.50`);
    expect(text('- a\n- b\n  - c\n\n3. x\n4. y\n\n> quoted\n> on\n\n# Head')).toBe(
      '- a\n- b\n  - c\n\n3. x\n4. y\n\n> quoted\n> on\n\nHead',
    );
  });

  it('as HTML is escaped by place', () => {
    const { html } = fillSample(
      `${table}\n\n{{client.notes}} [pay]({{invoice.pay_link}}) [x](https://x.example/?q={{client.name}})`,
    );
    expect(html).toContain('Felt &amp; &lt;glue&gt;');
    expect(html).toContain('First line<br>second &lt;line&gt;');
    expect(html).toContain('href="https://pay.example/k-101?a=1&amp;b=2"');
    expect(html).toContain('href="https://x.example/?q=Oda%20Hartigan"');
  });

  it('keeps only links that may be followed', () => {
    const { html, text: plain } = fillSample(
      '{{business.website | as "us"}} [a](javascript:alert(1)) [b](data:x) [c](mailto:a@b.example) [d](tel:+441632960144)',
      {
        business: { website: 'javascript:alert(1)' },
      },
    );
    expect(html.match(/href="[^"]*"/g)).toEqual(['href="mailto:a@b.example"', 'href="tel:+441632960144"']);
    expect(plain).toBe('us a b c (a@b.example) d (+441632960144)\n');
  });

  it('has no line breaks in the subject', () => {
    expect(fillSample('x', { subject: '{{client.notes}}' }).subject).toBe('First line second <line>');
  });

  it('keeps a value from becoming markup, whatever it holds', async () => {
    const nasty = fc.string({
      unit: fc.constantFrom(...'<>&"\'{}[]()*_|`#-\n\r\u2028:ax=/\\!'),
      minLength: 1,
      maxLength: 40,
    });
    const plain = fillSample(nastyBody, {
      business: { name: 'x', legal_name: 'x' },
      subject: '{{business.name}}',
    });
    const elements = (html: string) =>
      html
        .replace(/&[a-z]+;/g, '')
        .match(/<\/?[a-z]+/g)
        ?.filter((tag) => tag !== '<br')
        .join('');
    await fc.assert(
      fc.asyncProperty(nasty, async (value) => {
        const filled = fillSample(nastyBody, {
          business: { name: value, legal_name: value },
          subject: '{{business.name}}',
        });
        expect(elements(filled.html)).toBe(elements(plain.html));
        expect(filled.subject).not.toMatch(/[\r\n]/);
      }),
      { numRuns: 300 },
    );
  });
});

const nastyBody =
  '{{business.name}}\n\n- {{business.name}}\n\n| {{business.name}} |\n|---|\n| {{business.legal_name}} |\n\n**{{business.name}}**\n\n[link](https://x.example/{{business.name}})';
