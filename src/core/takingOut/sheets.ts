import { decimalString, minorDigits } from '../money/currency';
import { sumInvoice } from '../records/derive/invoiceSums';
import type { MoreOfClient } from '../contract/records/client';
import type { AddressData, CustomFieldData, CustomValue, RecordsFile } from '../records/recordsFile';
import type { Sheet } from './csv';

/** What every sheet is made with. */
interface Ground {
  currency: string;
  fields: readonly CustomFieldData[];
  /** by their clients' keys */
  more?: ReadonlyMap<string, MoreOfClient>;
}

/** A sheet of one kind of record; its heads are those that are understood when it is brought in again. */
interface SheetOf {
  head: (ground: Ground) => string[];
  rows: (records: RecordsFile, ground: Ground) => Sheet['rows'];
}

const ADDRESS = ['Address', 'Town', 'Region', 'Postcode', 'Country'];
const addressCells = (address: AddressData = {}) => [
  address.street?.join('\n'),
  address.town,
  address.region,
  address.postcode,
  address.country,
];

const moreCells = ({ more_phones = [], more_addresses = [] }: MoreOfClient = {}) => [
  more_phones.map(({ use, number }) => `${use}: ${number}`).join('\n') || undefined,
  more_addresses
    .map(
      ({ use, address = {} }) =>
        `${use}: ${addressCells(address).filter(Boolean).join(', ').replaceAll('\n', ', ')}`,
    )
    .join('\n') || undefined,
];

const own = (record: string) => ({
  head: ({ fields }: Ground) => fields.filter((one) => one.record === record).map(({ label }) => label),
  cells: (custom: Readonly<Record<string, CustomValue>> = {}, { fields, currency }: Ground) =>
    fields.filter((one) => one.record === record).map(({ key }) => customCell(custom[key], currency)),
});
const [ofClient, ofProject, ofBooking, ofInvoice] = [
  own('client'),
  own('project'),
  own('booking'),
  own('invoice'),
];

function customCell(value: CustomValue | undefined, currency: string): string | number | undefined {
  if (value === null || value === undefined) return undefined;
  if (typeof value === 'object') return decimalString(value.money, minorDigits(currency));
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : value;
}

const money = (amount: number | undefined, { currency }: Ground) =>
  amount === undefined ? undefined : decimalString(amount, minorDigits(currency));
/** What a client is called, by the key that others have for it. */
const namesOf = ({ clients = [] }: RecordsFile) => new Map(clients.map(({ key, name }) => [key, name]));

/** The sheets that a business is taken out in, by the names of their files. */
export const SHEETS: Readonly<Record<string, SheetOf>> = {
  clients: {
    head: (ground) => [
      ...[
        'Name',
        'Kind',
        'First name',
        'Last name',
        'Known as',
        'Title',
        'Email',
        'Phone',
        'Mobile',
        ...ADDRESS,
        'Other numbers',
        'Other addresses',
      ],
      ...[
        'Language',
        'Tags',
        'Since',
        'Source',
        'Notes',
        'Asked for no letters on',
        ...ofClient.head(ground),
      ],
    ],
    rows: ({ clients = [] }, ground) =>
      clients.map((one) => [
        ...[one.name, one.kind, one.given_name, one.family_name, one.preferred_name, one.honorific],
        ...[
          one.email,
          one.phone,
          one.mobile,
          ...addressCells(one.address),
          ...moreCells(ground.more?.get(one.key)),
          one.language,
          one.tags?.join(', '),
        ],
        ...[one.since, one.source, one.notes, one.no_letters_since, ...ofClient.cells(one.custom, ground)],
      ]),
  },
  people: {
    head: () => [
      'Client',
      'First name',
      'Last name',
      'Known as',
      'Title',
      'Role',
      'Email',
      'Phone',
      'Mobile',
      'For',
    ],
    rows: ({ clients = [] }) =>
      clients.flatMap(({ name, contacts = [] }) =>
        contacts.map((one) => [
          ...[name, one.given_name, one.family_name, one.preferred_name, one.honorific, one.role],
          ...[one.email, one.phone, one.mobile, one.uses?.join(', ')],
        ]),
      ),
  },
  items: {
    head: () => ['Client', 'Name', 'Kind', 'Notes'],
    rows: ({ clients = [] }) =>
      clients.flatMap(({ name, items = [] }) => items.map((one) => [name, one.name, one.kind, one.notes])),
  },
  enquiries: {
    head: () => [
      'Received',
      'Name',
      'Client',
      'Email',
      'Phone',
      'By',
      'Service',
      'Days',
      'Status',
      'Message',
    ],
    rows: (records) => {
      const names = namesOf(records);
      return (records.enquiries ?? []).map((one) => [
        ...[
          one.received_at,
          one.name,
          names.get(one.client ?? ''),
          one.email,
          one.phone,
          one.via,
          one.service,
        ],
        ...[one.wanted_on?.join(', '), one.status, one.message],
      ]);
    },
  },
  projects: {
    head: (ground) => [
      'Client',
      'Title',
      'Status',
      'Begins',
      'Ends',
      'Value',
      ...ADDRESS,
      'Notes',
      ...ofProject.head(ground),
    ],
    rows: (records, ground) => {
      const names = namesOf(records);
      return (records.projects ?? []).map((one) => [
        ...[
          names.get(one.client ?? ''),
          one.title,
          one.status,
          one.starts_on,
          one.ends_on,
          money(one.value, ground),
        ],
        ...[...addressCells(one.location), one.notes, ...ofProject.cells(one.custom, ground)],
      ]);
    },
  },
  bookings: {
    head: (ground) => [
      'Client',
      'Service',
      'Status',
      'Begins',
      'Ends',
      'Price',
      ...ADDRESS,
      'Notes',
      ...ofBooking.head(ground),
    ],
    rows: (records, ground) => {
      const names = namesOf(records);
      return (records.bookings ?? []).map((one) => [
        ...[
          names.get(one.client ?? ''),
          one.service,
          one.status,
          one.starts_at,
          one.ends_at,
          money(one.price, ground),
        ],
        ...[...addressCells(one.location), one.notes, ...ofBooking.cells(one.custom, ground)],
      ]);
    },
  },
  invoices: {
    head: (ground) => [
      ...['Invoice number', 'Client', 'Invoice date', 'Due date', 'Status', 'Total', 'Amount paid', 'Notes'],
      ...ofInvoice.head(ground),
    ],
    rows: (records, ground) => {
      const names = namesOf(records);
      return (records.invoices ?? []).map((one) => {
        const { amount, paid } = sumInvoice(one, 0);
        return [
          ...[one.number, names.get(one.client ?? ''), one.issued_on, one.due_on, one.status],
          ...[money(amount, ground), money(paid, ground), one.notes, ...ofInvoice.cells(one.custom, ground)],
        ];
      });
    },
  },
  'invoice lines': {
    head: () => [
      'Invoice number',
      'Client',
      'Invoice date',
      'Description',
      'Quantity',
      'Unit price',
      'Tax rate',
      'Discount',
    ],
    rows: (records, ground) => {
      const names = namesOf(records);
      return (records.invoices ?? []).flatMap(({ number, client, issued_on, lines = [] }) =>
        lines.map((line) => [
          ...[number, names.get(client ?? ''), issued_on, line.description, line.quantity],
          ...[money(line.unit_price, ground), line.tax_rate, line.discount],
        ]),
      );
    },
  },
  payments: {
    head: () => ['Invoice number', 'Payment date', 'Amount', 'Method', 'Reference'],
    rows: ({ invoices = [] }, ground) =>
      invoices.flatMap(({ number, payments = [] }) =>
        payments.map((one) => [number, one.paid_on, money(one.amount, ground), one.method, one.reference]),
      ),
  },
  partners: {
    head: () => ['Name', 'Trade', 'First name', 'Last name', 'Email', 'Phone', ...ADDRESS],
    rows: ({ partners = [] }) =>
      partners.map((one) => [
        ...[
          one.name,
          one.trade,
          one.given_name,
          one.family_name,
          one.email,
          one.phone,
          ...addressCells(one.address),
        ],
      ]),
  },
};
