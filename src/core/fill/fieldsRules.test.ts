import { describe, expect, it } from 'vitest';
import type { BookingData, ClientData, InvoiceData, RecordsFile } from '../records/recordsFile';
import { fillSample, problemsOf } from './test/fillSample';

// The rules of records and smart fields, one after another. Today is Monday 2 March 2026, nine in London.

type More = NonNullable<Parameters<typeof fillSample>[1]>;
const says = (body: string, more: More = {}) => fillSample(body, more).text.trim();

const client = (more: Partial<ClientData> = {}): ClientData => ({ key: 'c1', name: 'Oda Hartigan', ...more });
const invoice = (key: string, more: Partial<InvoiceData> = {}): InvoiceData => ({
  key,
  number: key,
  client: 'c1',
  status: 'sent',
  issued_on: '2026-02-01',
  due_on: '2026-03-10',
  lines: [{ description: 'Work', unit_price: 10_000 }],
  ...more,
});
const booking = (key: string, starts_at: string, more: Partial<BookingData> = {}): BookingData => ({
  key,
  client: 'c1',
  service: key,
  status: 'confirmed',
  starts_at,
  ...more,
});
const of = (records: Partial<RecordsFile>): More => ({
  records: { clients: [client()], projects: [], bookings: [], invoices: [], ...records },
});
const fromInvoice = (one: InvoiceData, more: Partial<RecordsFile> = {}): More => ({
  ...of({ invoices: [one], ...more }),
  from: `invoice:${one.key}`,
});
const fromClient = (records: Partial<RecordsFile>): More => ({ ...of(records), from: 'client:c1' });

describe('missing facts', () => {
  it.each([
    ['absent', {}],
    ['null', { mobile: null as never }],
    ['empty', { mobile: '' }],
  ])('a key that is %s is a missing fact', (_, more) => {
    const { holes, text } = fillSample('{{client.mobile}}', fromClient({ clients: [client(more)] }));
    expect(text.trim()).toBe('[client mobile]');
    expect(holes).toMatchObject([
      { path: 'client.mobile', reason: 'The client Oda Hartigan has no mobile.' },
    ]);
  });

  it('an empty list counts as nothing, 0 and no do not', () => {
    const more = fromInvoice(invoice('K', { payments: [] }));
    expect(says('{{invoice.payments | joined | or "none"}}', more)).toBe('none');
    expect(says('{{invoice.paid | or "none"}}', more)).toBe('£0.00');
    expect(says('{{invoice.is_paid | or "none"}}', more)).toBe('no');
    expect(
      says(
        '{{#invoice.payments}}x{{/invoice.payments}}{{^invoice.payments}}nothing{{/invoice.payments}}',
        more,
      ),
    ).toBe('nothing');
  });
});

describe('money', () => {
  it('net is quantity times unit price less discount, rounded once, half to even', () => {
    const net = (line: NonNullable<InvoiceData['lines']>[number]) =>
      says('{{invoice.net | plain number}}', fromInvoice(invoice('K', { lines: [line] })));
    expect(net({ quantity: '2.5', unit_price: 5 })).toBe('0.12');
    expect(net({ quantity: '3.5', unit_price: 5 })).toBe('0.18');
    expect(net({ quantity: 3, unit_price: 3333, discount: '12.5' })).toBe('87.49');
    expect(net({ unit_price: 100 })).toBe('1.00');
  });

  it('tax is net times rate, amount is net and tax, totals are sums of rounded lines', () => {
    const lines = [
      { quantity: 1, unit_price: 333, tax_rate: 20 },
      { quantity: 1, unit_price: 333, tax_rate: 20 },
    ];
    const more = fromInvoice(invoice('K', { lines }));
    expect(says('{{invoice.net}} {{invoice.tax}} {{invoice.total}}', more)).toBe('£6.66 £1.34 £8.00');
    expect(says('{{#invoice.lines}}{{net}}+{{tax}}={{amount}};{{/invoice.lines}}', more)).toBe(
      '£3.33+£0.67=£4.00;£3.33+£0.67=£4.00;',
    );
  });

  it('a text’s lines end with a line feed, however they were ended where it came from', () => {
    const records = { clients: [{ key: 'c1', name: 'Oda\rHartigan', notes: 'one\r\ntwo & <three>\rfour' }] };
    const { text, html, notes, subject } = fillSample('{{client.notes}}', {
      records,
      from: 'client:c1',
      subject: '{{client.name}}',
    });
    expect(text).toBe('one\ntwo & <three>\nfour\n');
    expect(html).toContain('>one<br>two &amp; &lt;three&gt;<br>four<');
    expect(notes.map(({ value }) => value)).toEqual(['Oda\nHartigan', 'one\ntwo & <three>\nfour']);
    expect(subject).toBe('Oda Hartigan');
  });

  it('a quantity or percentage is a number or a string read as a decimal', () => {
    const lines = [
      { quantity: '0.1', unit_price: 1000, tax_rate: '17.5' },
      { quantity: 3, unit_price: 10 },
    ];
    expect(
      says(
        '{{#invoice.lines}}{{quantity}} {{tax_rate}}; {{/invoice.lines}}{{invoice.total}}',
        fromInvoice(invoice('K', { lines })),
      ),
    ).toBe('0.1 17.5%; 3 0%; £1.48');
  });

  it('share and plus or minus N% round half to even', () => {
    const more = fromInvoice(invoice('K', { lines: [{ unit_price: 5 }] }));
    expect(
      says('{{invoice.total | share 50%}} {{invoice.total | plus 50%}} {{invoice.total | minus 50%}}', more),
    ).toBe('£0.02 £0.07 £0.03');
  });
});

describe('an invoice’s state is the first that holds', () => {
  it.each<[string, Partial<InvoiceData>]>([
    ['void', { status: 'void', due_on: '2026-01-01' }],
    ['draft', { status: 'draft', due_on: '2026-01-01' }],
    ['paid', { payments: [{ amount: 10_000, paid_on: '2026-02-20' }], due_on: '2026-01-01' }],
    ['overdue', { due_on: '2026-03-01' }],
    ['overdue', { due_on: '2026-03-01', payments: [{ amount: 1, paid_on: '2026-02-20' }] }],
    ['part paid', { payments: [{ amount: 1, paid_on: '2026-02-20' }] }],
    ['open', {}],
    ['open', { due_on: '2026-03-02' }],
    ['paid', { lines: [] }],
    ['paid', { lines: [{ unit_price: -5000 }], due_on: '2026-01-01' }],
  ])('%s: %j', (state, more) =>
    expect(says('{{invoice.state}}', fromInvoice(invoice('K', more)))).toBe(state),
  );

  it('days overdue are 0 unless overdue; days until due are negative when past', () => {
    const both = '{{invoice.days_overdue}} {{invoice.days_until_due}}';
    expect(says(both, fromInvoice(invoice('K', { due_on: '2026-02-28' })))).toBe('2 -2');
    expect(says(both, fromInvoice(invoice('K', { due_on: '2026-03-12' })))).toBe('0 10');
    expect(says(both, fromInvoice(invoice('K', { due_on: '2026-02-28', status: 'void' })))).toBe('0 -2');
  });

  it('payments fill instalments in order, and the next one is the first with something left', () => {
    const instalments = [
      { due_on: '2026-02-01', amount: 4000 },
      { due_on: '2026-03-01', amount: 3000 },
      { due_on: '2026-04-01', amount: 3000 },
    ];
    const more = fromInvoice(
      invoice('K', { instalments, payments: [{ amount: 5000, paid_on: '2026-02-20' }] }),
    );
    expect(says('{{#invoice.instalments}}{{left}} {{/invoice.instalments}}', more)).toBe(
      '£0.00 £20.00 £30.00',
    );
    expect(says('{{invoice.next_instalment.due_on | day and month}}', more)).toBe('1 March');
  });

  it('unpaid are those open, part paid or overdue; outstanding is the sum of their balances', () => {
    const invoices = [
      invoice('A', { due_on: '2026-01-01' }),
      invoice('B', { payments: [{ amount: 2500, paid_on: '2026-02-02' }], issued_on: '2026-02-02' }),
      invoice('C', { status: 'draft' }),
      invoice('D', { status: 'void' }),
      invoice('E', { payments: [{ amount: 10_000, paid_on: '2026-02-02' }] }),
    ];
    const more = fromClient({ invoices });
    expect(says('{{client.unpaid_invoices | joined}}: {{client.outstanding}}', more)).toBe(
      'A and B: £175.00',
    );
  });
});

describe('collections come in order', () => {
  it('bookings by their start, invoices by issue date and then number, projects by their start, the rest as written', () => {
    const more = fromClient({
      bookings: [booking('late', '2026-05-01T09:00:00Z'), booking('early', '2026-01-05T09:00:00Z')],
      invoices: [invoice('K-10'), invoice('K-9'), invoice('K-1', { issued_on: '2026-02-02' })],
      projects: [
        { key: 'p2', client: 'c1', title: 'second', starts_on: '2026-02-02' },
        { key: 'p1', client: 'c1', title: 'first', starts_on: '2026-01-01' },
      ],
      clients: [client({ tags: ['z', 'a'] })],
    });
    expect(
      says(
        '{{client.bookings | joined}}; {{client.invoices | joined}}; {{client.projects | joined}}; {{client.tags | joined}}',
        more,
      ),
    ).toBe('early and late; K-9, K-10 and K-1; first and second; z and a');
  });

  it('the next booking is the first tentative or confirmed from now on, the last the last not cancelled before now', () => {
    const bookings = [
      booking('long ago', '2026-01-05T09:00:00Z', { status: 'done' }),
      booking('missed', '2026-02-05T09:00:00Z', { status: 'missed' }),
      booking('called off', '2026-02-06T09:00:00Z', { status: 'cancelled' }),
      booking('not so', '2026-03-02T10:00:00Z', { status: 'cancelled' }),
      booking('now', '2026-03-02T09:00:00Z', { status: 'tentative' }),
      booking('later', '2026-03-03T09:00:00Z'),
    ];
    expect(
      says('{{client.next_booking.service}}, {{client.last_booking.service}}', fromClient({ bookings })),
    ).toBe('now, missed');
  });
});

describe('which record', () => {
  const project = { key: 'p1', client: 'c1', title: 'rebuild', status: 'active' } as const;

  it('from an invoice: the booking is the project’s last one not after the issue date, else its next', () => {
    const bookings = [
      booking('a', '2026-01-10T09:00:00Z', { project: 'p1' }),
      booking('b', '2026-01-20T09:00:00Z', { project: 'p1' }),
      booking('c', '2026-04-01T09:00:00Z', { project: 'p1' }),
      booking('elsewhere', '2026-01-31T09:00:00Z'),
    ];
    const from = (issued_on: string) =>
      fromInvoice(invoice('K', { project: 'p1', issued_on }), { projects: [project], bookings });
    expect(says('{{booking.service}}', from('2026-02-01'))).toBe('b');
    expect(says('{{booking.service}}', from('2025-12-01'))).toBe('a');
  });

  it('from a booking: the invoice is the project’s oldest unpaid one, else its newest', () => {
    const paid = { payments: [{ amount: 10_000, paid_on: '2026-02-20' }] };
    const from = (invoices: InvoiceData[]): More => ({
      ...of({
        projects: [project],
        bookings: [booking('b', '2026-03-03T09:00:00Z', { project: 'p1' })],
        invoices,
      }),
      from: 'booking:b',
    });
    const own = (key: string, more: Partial<InvoiceData> = {}) => invoice(key, { project: 'p1', ...more });
    const filled = fillSample(
      '{{invoice.number}}',
      from([own('A', paid), own('B'), own('C'), invoice('D', { issued_on: '2026-01-01' })]),
    );
    expect(filled.text.trim()).toBe('B');
    expect(filled.notes[0]!.reason).toBe('the oldest of 2 unpaid invoices for this project');
    expect(says('{{invoice.number}}', from([own('A', paid), own('B', paid)]))).toBe('B');
  });

  it('a record that another one leads to says why it is that one, in the business’s words', () => {
    const reasons = (body: string, session: object = {}) =>
      fillSample(body, {
        records: {
          clients: [client()],
          bookings: [booking('b', '2026-03-03T09:00:00Z', { member: 'm1' })],
          members: [{ key: 'm1', given_name: 'Teo' }],
          business: session,
        },
        from: 'client:c1',
      }).notes.map(({ path, reason }) => [path, reason]);
    const next = '{{client.next_booking.service}} {{client.next_booking.member.given_name}} {{client.name}}';
    expect(reasons(next)).toEqual([
      ['client.next_booking.service', 'the client’s next visit'],
      ['client.next_booking.member.given_name', 'who comes'],
      ['client.name', 'the client you started from'],
    ]);
    expect(
      reasons('{{#client.next_booking}}{{service}} {{member.given_name}}{{/client.next_booking}}'),
    ).toEqual([
      ['service', 'the client’s next visit'],
      ['member.given_name', 'who comes'],
    ]);
    expect(reasons('{{#client.bookings}}{{service}}{{/client.bookings}}')).toEqual([
      ['service', 'the only one in the list'],
    ]);
    expect(reasons(next, { booking_label: 'session' })[0]![1]).toBe('the client’s next session');
  });

  it('cancelled bookings and void invoices are never chosen by themselves, drafts only when nothing else exists', () => {
    const from = (invoices: InvoiceData[]) =>
      fromClient({ invoices, bookings: [booking('x', '2026-03-03T09:00:00Z', { status: 'cancelled' })] });
    expect(fillSample('{{booking.service}}', from([])).holes).toHaveLength(1);
    expect(fillSample('{{invoice.number}}', from([invoice('V', { status: 'void' })])).holes).toHaveLength(1);
    expect(
      says('{{invoice.number}}', from([invoice('V', { status: 'void' }), invoice('D', { status: 'draft' })])),
    ).toBe('D');
    expect(says('{{invoice.number}}', from([invoice('D', { status: 'draft' }), invoice('A')]))).toBe('A');
  });

  it('from an enquiry whoever asks stands in for the client, with the name and addresses given', () => {
    const more: More = {
      ...of({
        enquiries: [
          { key: 'e1', name: 'Bram Tolliver', email: 'bram@tolliver.example', phone: '01632 960111' },
        ],
      }),
      from: 'enquiry:e1',
    };
    const filled = fillSample('{{client.greeting_name}} {{client.email}} {{client.phone}}', more);
    expect(filled.text.trim()).toBe('Bram bram@tolliver.example 01632 960111');
    expect(filled.to).toEqual([{ name: 'Bram Tolliver', email: 'bram@tolliver.example' }]);
  });

  it('the recipient: whoever is used for invoices, whoever the project names, else the main contact, else the client', () => {
    const contacts = [
      { key: 'k1', given_name: 'Uma' },
      { key: 'k2', given_name: 'Ivo', uses: ['invoices' as const] },
      { key: 'k3', given_name: 'Bea', uses: ['bookings' as const] },
      { key: 'k4', given_name: 'Mia', uses: ['main' as const] },
    ];
    const records = {
      clients: [client({ contacts })],
      invoices: [invoice('K')],
      bookings: [booking('b', '2026-03-03T09:00:00Z')],
      projects: [{ ...project, contacts: ['k1'] }],
    };
    const greets = (from: More['from']) =>
      says('{{recipient.greeting_name}}', { ...of(records), ...(from ? { from } : {}) });
    expect([greets('invoice:K'), greets('booking:b'), greets('project:p1'), greets('client:c1')]).toEqual([
      'Ivo',
      'Bea',
      'Uma',
      'Mia',
    ]);
    expect(says('{{recipient.greeting_name}}', fromClient({}))).toBe('Oda');
  });

  it('contacts that always get a copy are copied', () => {
    const contacts = [
      { key: 'k1', given_name: 'Uma', email: 'uma@x.example', uses: ['main' as const] },
      { key: 'k2', given_name: 'Ivo', email: 'ivo@x.example', uses: ['copy of invoices' as const] },
    ];
    const more = fromInvoice(invoice('K'), { clients: [client({ contacts })] });
    expect(fillSample('x', more).copies).toEqual([{ name: 'Ivo', email: 'ivo@x.example' }]);
  });
});

describe('dates and times', () => {
  it('weeks, months and years stay inside the month', () => {
    const more = fromInvoice(invoice('K', { due_on: '2024-01-31' }));
    expect(
      says(
        '{{invoice.due_on | plus 1 month | iso}} {{invoice.due_on | plus 13 months | iso}} {{invoice.due_on | minus 2 months | iso}}',
        more,
      ),
    ).toBe('2024-02-29 2025-02-28 2023-11-30');
    expect(says('{{invoice.due_on | plus 1 year | plus 1 week | iso}}', more)).toBe('2025-02-07');
    expect(says('{{invoice.due_on | plus 1 month | plus 1 year | iso}}', more)).toBe('2025-02-28');
  });

  it('working days skip days off and holidays', () => {
    expect(says('{{today | plus 3 working days | iso}} {{today | minus 1 working day | iso}}')).toBe(
      '2026-03-06 2026-02-27',
    );
    const business = { working_days: [2, 4], holidays: ['2026-03-03'] };
    expect(says('{{today | plus 2 working days | iso}}', { business })).toBe('2026-03-10');
  });

  it('days and longer keep the wall clock across a clock change, hours and minutes are elapsed time', () => {
    const more: More = { ...of({ bookings: [booking('b', '2026-03-28T12:00:00Z')] }), from: 'booking:b' };
    expect(says('{{booking.starts_at | plus 1 day | iso}}', more)).toBe('2026-03-29T12:00:00+01:00');
    expect(says('{{booking.starts_at | plus 24 hours | iso}}', more)).toBe('2026-03-29T13:00:00+01:00');
    expect(says('{{booking.starts_at | minus 90 minutes | time}}', more)).toBe('10:30');
  });

  it('next weekday and next Monday to Sunday are days after', () => {
    const more = fromInvoice(invoice('K', { due_on: '2026-03-06' }));
    expect(
      says(
        '{{invoice.due_on | next weekday | iso}} {{invoice.due_on | next Friday | iso}} {{invoice.due_on | next Saturday | iso}}',
        more,
      ),
    ).toBe('2026-03-09 2026-03-13 2026-03-07');
    expect(
      says('{{invoice.due_on | start of month | iso}} {{invoice.due_on | end of month | iso}}', more),
    ).toBe('2026-03-01 2026-03-31');
  });

  it.each([
    ['2026-03-02', 'today'],
    ['2026-03-15', 'in 13 days'],
    ['2026-03-16', 'in 2 weeks'],
    ['2026-02-17', '13 days ago'],
    ['2026-04-30', 'in 8 weeks'],
    ['2026-05-01', 'in 2 months'],
    ['2026-05-02', 'in 2 months'],
    ['2028-03-01', 'in 24 months'],
    ['2028-01-10', 'in 22 months'],
    ['2028-10-01', 'in 3 years'],
    ['2028-08-01', 'in 2 years'],
    ['2026-03-22', 'in 3 weeks'],
    ['2028-03-02', 'in 2 years'],
    ['2024-03-02', '2 years ago'],
  ])('from now: %s is %s', (due_on, words) => {
    expect(says('{{invoice.due_on | from now}}', fromInvoice(invoice('K', { due_on })))).toBe(words);
  });

  it('a moment is shown in the business’s zone, and its day is the day there', () => {
    const more: More = { ...of({ bookings: [booking('b', '2026-07-01T23:30:00Z')] }), from: 'booking:b' };
    expect(says('{{booking.date | iso}} {{booking.starts_at | time}}', more)).toBe('2026-07-02 00:30');
    expect(
      says('{{booking.date | iso}} {{booking.starts_at | time}}', {
        ...more,
        business: { time_zone: 'America/New_York' },
      }),
    ).toBe('2026-07-01 19:30');
  });

  it('a duration is elapsed time, over a clock change, too', () => {
    const own = booking('b', '2026-03-29T00:30:00+00:00', { ends_at: '2026-03-29T03:00:00+01:00' });
    expect(
      says('{{booking.duration}} {{booking.duration | hours}}', {
        ...of({ bookings: [own] }),
        from: 'booking:b',
      }),
    ).toBe('1 hour 30 minutes 1.5 hours');
  });
});

describe('what lies beyond all calendars and sums', () => {
  it.each([
    '{{today | plus 999999 years | long date}}',
    '{{now | plus 999999 years | time}}',
    '{{now | minus 999999 years | minus 999999 hours | from now}}',
    '{{invoice.total | share 99999999999999999999%}}',
    '{{today | plus 1 working day | iso}}',
  ])('%s is missing, and nothing breaks', (body) => {
    const { holes } = fillSample(body, { ...fromInvoice(invoice('K')), business: { working_days: [] } });
    expect(holes).toHaveLength(1);
  });

  it('a great many working days are counted in no time', () => {
    const before = performance.now();
    says('{{today | plus 999999 working days | iso}}', { business: { working_days: [1] } });
    expect(performance.now() - before).toBeLessThan(3000);
  });
});

describe('names', () => {
  it.each<[string, Partial<ClientData>]>([
    ['Mags', { name: 'Margareta Quist', given_name: 'Margareta', preferred_name: 'Mags' }],
    ['Margareta', { given_name: 'Margareta', family_name: 'Quist' }],
    ['Ada and Tom', { name: 'Ada and Tom Reyes' }],
    ['Dr de la Cruz', { name: undefined as never, honorific: 'Dr', family_name: 'de la Cruz' }],
    ['Mr and Mrs Calder', { name: 'Mr and Mrs Calder' }],
    ['Thornholt College', { name: 'Thornholt College', kind: 'organisation' }],
    ['Hale', { name: 'Brandreth, Hale' }],
  ])('greeting name %s', (greeting, more) => {
    expect(says('{{client.greeting_name}}', fromClient({ clients: [client(more)] }))).toBe(greeting);
  });

  it('with several recipients the greeting greets them all, other fields are the first one’s', () => {
    const ada = { kind: 'contact' as const, data: { key: 'a', given_name: 'Ada', role: 'piano' } };
    const tom = { kind: 'contact' as const, data: { key: 't', given_name: 'Tom', role: 'voice' } };
    const wishes = { sender: { key: 'imke' }, recipients: [ada, tom] };
    expect(says('{{recipient.greeting_name}} {{recipient.role}}', { ...fromClient({}), wishes })).toBe(
      'Ada and Tom piano',
    );
    expect(says('{{recipient.greeting_name}}', { ...fromClient({}), wishes, head: 'language: de\n' })).toBe(
      'Ada und Tom',
    );
  });
});

describe('lists', () => {
  const more = fromClient({
    invoices: [
      invoice('A', { due_on: '2026-03-30' }),
      invoice('B', { due_on: null as never, lines: [{ unit_price: 5 }] }),
      invoice('C', { due_on: '2026-03-20' }),
    ],
  });

  it('where takes conditions, by orders, missing last', () => {
    expect(says('{{client.invoices | where balance over £1 | joined}}', more)).toBe('A and C');
    expect(
      says('{{client.invoices | by due_on | joined}} {{client.invoices | by due_on down | joined}}', more),
    ).toBe('C, A and B A, C and B');
  });

  it('first, last, count and sum', () => {
    expect(
      says(
        '{{client.invoices | first 2 | joined}} {{client.invoices | last 1 | joined}} {{client.invoices | count}} {{client.invoices | sum balance}}',
        more,
      ),
    ).toBe('A and B C 3 £200.05');
    expect(
      says('{{client.invoices | first 0 | joined | or "none"}} {{client.invoices | first 99 | count}}', more),
    ).toBe('none 3');
  });

  it('records are joined by number, title, service, name, description or amount', () => {
    const all = fromClient({
      clients: [
        client({
          items: [{ key: 'i', name: 'the grand' }],
          contacts: [{ key: 'k', given_name: 'Uma', family_name: 'Ito' }],
        }),
      ],
      invoices: [invoice('A', { payments: [{ amount: 100, paid_on: '2026-02-02' }] })],
      bookings: [booking('tuning', '2026-03-03T09:00:00Z')],
      projects: [{ key: 'p', client: 'c1', title: 'rebuild' }],
    });
    expect(
      says(
        '{{client.invoices | joined}}, {{client.projects | joined}}, {{client.bookings | joined}}, {{client.items | joined}}, {{client.contacts | joined}}, {{invoice.lines | joined}}, {{invoice.payments | joined}}',
        all,
      ),
    ).toBe('A, rebuild, tuning, the grand, Uma Ito, Work, £1.00');
  });
});

describe('custom fields', () => {
  const records = (more: Partial<RecordsFile['business']> = {}): More =>
    fromClient({
      business: more as RecordsFile['business'],
      clients: [
        client({
          custom: {
            since: 2019,
            regular: true,
            rate: { money: 6500 },
            next: '2026-04-01',
            at: '2026-04-01T09:00:00Z',
            parking: 'yard',
          },
        }),
      ],
    });

  it('of records without definitions have the types of their JSON', () => {
    const fields = ['since', 'regular', 'rate', 'next | long date', 'at | time', 'parking'].map(
      (name) => `{{client.custom.${name}}}`,
    );
    expect(says(fields.join(' '), records())).toBe('2,019 yes £65.00 Wednesday, 1 April 2026 10:00 yard');
  });

  it('exist when the business defines them, or when any record of the kind has them', () => {
    expect(problemsOf('{{client.custom.nothing}}', records())).toHaveLength(1);
    const custom_fields = [{ record: 'client' as const, key: 'dog', label: 'dog', type: 'yes/no' as const }];
    expect(problemsOf('{{client.custom.dog}}', records({ custom_fields }))).toEqual([]);
    expect(problemsOf('{{client.custom.parking}}', records({ custom_fields }))).toHaveLength(1);
  });
});

describe('steps that fit no other type are refused', () => {
  it.each([
    ['{{invoice.total | upper}}', 'does not fit'],
    ['{{client.name | whole money}}', 'does not fit'],
    ['{{invoice.due_on | time}}', 'A date has no time of day.'],
    ['{{invoice.due_on | plus 3 hours}}', 'can only be added to a moment'],
    ['{{client}}', 'This is a whole client'],
    ['{{invoice.lines}} {{invoice.total | or "x" | whole money}}', '“or” is the last step.'],
    ['{{invoice.lines | sum description}}', 'description'],
    ['{{invoice.lines | by nothing}}', 'nothing'],
    ['{{business.logo | width 0}}', 'width'],
  ])('%s', (body, message) => expect(problemsOf(body).join('\n')).toContain(message));
});
