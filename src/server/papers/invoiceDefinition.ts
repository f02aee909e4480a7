import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { readDay } from '../../core/dates/civil';
import { invoiceWords, type InvoiceWords } from '../../core/describe/invoiceWords';
import { addressLines } from '../../core/fill/formats/address';
import type { Formats } from '../../core/fill/formats/formats';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import { phoneNumber } from '../../core/fill/formats/phone';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import { sumLine, type InvoiceSums } from '../../core/records/derive/invoiceSums';
import type { RecordBook } from '../../core/records/recordBook';
import type { InvoiceData, LineData } from '../../core/records/recordsFile';

const INK = '#1f2933';
const PENCIL = '#5b6470';
const RULE = '#c9c2b4';
/** of what may not be taken for an invoice */
const STAMP = '#a3261f';

/**
 * An invoice as a page, in the house's look: who it is from and to, its lines, what it comes to, and how it is paid. In the
 * client's language where we have its words; dates and sums in its form.
 * @param logo a picture as a data URL
 */
export function invoiceDefinition(
  book: RecordBook,
  invoice: InvoiceData,
  logo?: string,
): TDocumentDefinitions {
  const client = book.clients.get(invoice.client ?? '');
  const language = client?.language ?? '';
  const formats = formatsOf(book, language);
  const words = invoiceWords(language || formats.settings.home);
  const sums = book.sumsOf(invoice);
  const title = invoice.number ? `${words.invoice} ${invoice.number}` : words.invoice;
  const stamp = invoice.status === 'void' ? words.void : invoice.status === 'draft' ? words.draft : undefined;
  return {
    info: { title, author: book.business.name ?? '', subject: client?.name ?? '' },
    pageSize: 'A4',
    pageMargins: [56, 56, 56, 72],
    defaultStyle: { font: 'Literata', fontSize: 10, lineHeight: 1.15, color: INK },
    footer: (page, of) => footer(book, words.page(page, of)),
    content: [
      head(book, logo),
      {
        columns: [{ text: title }, ...(stamp ? [{ text: stamp, width: 'auto', color: STAMP }] : [])],
        fontSize: 19,
        bold: true,
        margin: [0, 28, 0, 14],
      },
      whoAndWhen(book, invoice, formats, words),
      lineTable(invoice.lines ?? [], formats, words),
      totals(invoice, sums, formats, words),
      ...instalments(book, invoice, formats, words),
      ...howToPay(book, invoice, sums, words),
    ],
  };
}

function homeOf({ business }: RecordBook): string {
  return business.locale ?? SCHEMA_DEFAULTS.locale;
}

function head(book: RecordBook, logo: string | undefined): Content {
  const { name = '', address, phone, email, website } = book.business;
  const lines = [
    ...(address ? addressLines(address, homeOf(book)) : []),
    phone && phoneNumber(phone, 'local', homeOf(book)),
    email,
    website?.replace(/^https?:\/\//, ''),
  ];
  return {
    columns: [
      logo ? { image: logo, fit: [170, 64] } : { text: name, fontSize: 15, bold: true },
      {
        stack: [
          ...(logo ? [{ text: name, bold: true }] : []),
          ...lines.flatMap((line) => (line ? [{ text: line, color: PENCIL }] : [])),
        ],
        alignment: 'right',
        fontSize: 9.5,
      },
    ],
  };
}

function whoAndWhen(book: RecordBook, invoice: InvoiceData, formats: Formats, words: InvoiceWords): Content {
  const client = book.clients.get(invoice.client ?? '');
  const day = (iso: string | undefined) => {
    const read = readDay(iso ?? '');
    return read === undefined ? undefined : formats.date(read, 'date');
  };
  const facts = [
    [words.number, invoice.number],
    [words.issued, day(invoice.issued_on)],
    [words.due, day(invoice.due_on)],
  ].flatMap(([label, value]) =>
    value
      ? [
          [
            { text: label!, color: PENCIL },
            { text: value, alignment: 'right' as const },
          ],
        ]
      : [],
  );
  return {
    columns: [
      {
        stack: [
          { text: words.to, color: PENCIL },
          { text: client?.name ?? '', bold: true },
          ...(invoice.bill_to ? addressLines(invoice.bill_to, homeOf(book)) : []),
        ],
      },
      ...(facts.length > 0
        ? [{ width: 210, table: { widths: ['auto', '*'], body: facts }, layout: 'noBorders' as const }]
        : []),
    ],
    margin: [0, 0, 0, 22],
  };
}

function lineTable(lines: readonly LineData[], formats: Formats, words: InvoiceWords): Content {
  const has = (fact: 'discount' | 'tax_rate' | 'quantity') =>
    lines.some((line) => Number(line[fact] ?? 0) !== 0);
  const quantities = lines.some((line) => Number(line.quantity ?? 1) !== 1);
  const columns: { head: string; width: string | number; say: (line: LineData) => string }[] = [
    { head: words.what, width: '*', say: ({ description = '' }) => description },
    ...(quantities
      ? [
          {
            head: words.quantity,
            width: 'auto',
            say: ({ quantity }: LineData) => formats.decimal(Number(quantity ?? 1)),
          },
        ]
      : []),
    { head: words.price, width: 'auto', say: ({ unit_price = 0 }) => formats.money(unit_price) },
    ...(has('discount')
      ? [{ head: words.discount, width: 'auto', say: (line: LineData) => percent(line.discount, formats) }]
      : []),
    ...(has('tax_rate')
      ? [{ head: words.tax, width: 'auto', say: (line: LineData) => percent(line.tax_rate, formats) }]
      : []),
    { head: words.amount, width: 'auto', say: (line) => formats.money(sumLine(line).net) },
  ];
  const cell = (text: string, at: number, more: object = {}): TableCell => ({
    text,
    ...(at > 0 ? { alignment: 'right' } : {}),
    ...more,
  });
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: columns.map(({ width }) => width),
      body: [
        columns.map(({ head: text }, at) => cell(text, at, { color: PENCIL, fontSize: 9.5 })),
        ...lines.map((line) => columns.map(({ say }, at) => cell(say(line), at))),
      ],
    },
    layout: ruled(),
  };
}

function percent(rate: number | string | undefined, formats: Formats): string {
  return Number(rate ?? 0) === 0 ? '' : formats.percent(Number(rate));
}

/** The net, the tax of each rate, the whole, and what is left of it. */
function totals(invoice: InvoiceData, sums: InvoiceSums, formats: Formats, words: InvoiceWords): Content {
  const byRate = new Map<string, number>();
  for (const line of invoice.lines ?? []) {
    const rate = String(Number(line.tax_rate ?? 0));
    byRate.set(rate, (byRate.get(rate) ?? 0) + sumLine(line).tax);
  }
  const taxes = [...byRate].filter(([, tax]) => tax !== 0);
  const rows: [string, number, boolean][] = [
    ...(taxes.length > 0 ? [[words.net, sums.net, false] as [string, number, boolean]] : []),
    ...taxes.map(([rate, tax]): [string, number, boolean] => [
      `${words.tax} ${formats.percent(Number(rate))}`,
      tax,
      false,
    ]),
    [words.total, sums.amount, true],
    ...(sums.paid !== 0
      ? ([
          [words.paid, -sums.paid, false],
          [words.balance, sums.balance, true],
        ] as [string, number, boolean][])
      : []),
  ];
  return {
    columns: [
      { text: '' },
      {
        width: 220,
        table: {
          widths: ['*', 'auto'],
          body: rows.map(([label, amount, bold]) => [
            { text: label, bold },
            { text: formats.money(amount), bold, alignment: 'right' },
          ]),
        },
        layout: 'noBorders',
      },
    ],
    margin: [0, 10, 0, 0],
    unbreakable: true,
  } as Content;
}

function instalments(
  book: RecordBook,
  invoice: InvoiceData,
  formats: Formats,
  words: InvoiceWords,
): Content[] {
  const parts = invoice.instalments ?? [];
  if (parts.length === 0) return [];
  const rows = parts.map((part): TableCell[] => {
    const day = readDay(part.due_on ?? '');
    return [
      { text: day === undefined ? '' : formats.date(day, 'date') },
      { text: formats.money(part.amount ?? 0), alignment: 'right' },
      { text: formats.money(book.leftOf(part) ?? 0), alignment: 'right' },
    ];
  });
  const heads = [words.due, words.amount, words.left];
  return [
    { text: words.instalments, bold: true, margin: [0, 24, 0, 6] },
    {
      table: {
        headerRows: 1,
        widths: ['auto', 'auto', 'auto'],
        body: [
          heads.map((text, at): TableCell => ({
            text,
            color: PENCIL,
            fontSize: 9.5,
            ...(at > 0 ? { alignment: 'right' } : {}),
          })),
          ...rows,
        ],
      },
      layout: ruled(),
    },
  ];
}

function howToPay(
  book: RecordBook,
  { pay_link, status }: InvoiceData,
  sums: InvoiceSums,
  words: InvoiceWords,
): Content[] {
  const { payment_details } = book.business;
  if (sums.balance <= 0 || status === 'void' || (!payment_details && !pay_link)) return [];
  return [
    {
      stack: [
        { text: words.howToPay, bold: true, margin: [0, 24, 0, 4] },
        ...(payment_details ? [{ text: payment_details }] : []),
        ...(pay_link
          ? [{ text: words.payOnline, link: pay_link, color: '#4b3f8f', decoration: 'underline' as const }]
          : []),
      ],
      unbreakable: true,
    },
  ];
}

function footer(book: RecordBook, page: string): Content {
  const { legal_name, name = '' } = book.business;
  return {
    columns: [{ text: legal_name ?? name }, { text: page, alignment: 'right' }],
    fontSize: 8.5,
    color: PENCIL,
    margin: [56, 24, 56, 0],
  };
}

/** A line under each row, and nothing at the sides. */
function ruled() {
  return {
    hLineWidth: (at: number) => (at === 0 ? 0 : 0.6),
    vLineWidth: () => 0,
    hLineColor: () => RULE,
    paddingLeft: (at: number) => (at === 0 ? 0 : 16),
    paddingRight: () => 0,
    paddingTop: () => 3,
    paddingBottom: () => 2,
  };
}
