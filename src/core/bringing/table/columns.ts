import type { CustomFieldData } from '../../records/recordsFile';
import { foldText } from '../../searching/foldText';
import type { BroughtKind } from '../brought';

/** What a table can hold of. */
export type TableKind = Exclude<BroughtKind, 'booking'>;

/** What the columns of a table can be, and what they are called elsewhere, folded, in the languages that we read. */
const CALLED = {
  client: {
    name: 'name, full name, client, client name, customer, customer name, contact, display name, kunde, nom complet',
    given_name: 'first name, given name, forename, firstname, vorname, prenom',
    family_name: 'last name, family name, surname, lastname, nachname, familienname, nom de famille, nom',
    honorific: 'title, honorific, salutation, anrede, civilite',
    preferred_name: 'nickname, preferred name, known as, rufname, surnom',
    organisation:
      'company, organisation, organization, business, firma, societe, entreprise, company name, organization name',
    kind: 'kind, type, client type, art',
    email:
      'email, e-mail, email address, e-mail address, mail, e-mail-adresse, courriel, adresse e-mail, e-mail 1 - value',
    phone:
      'phone, telephone, phone number, tel, home phone, work phone, business phone, telefon, festnetz, telephone fixe, phone 1 - value',
    mobile:
      'mobile, mobile phone, cell, cell phone, mobile number, handy, mobil, portable, telephone portable',
    street: 'street, address, address line 1, street address, address 1, strasse, adresse, rue',
    street_2: 'address line 2, address 2, street 2, adresszusatz, complement',
    town: 'town, city, ort, stadt, ville',
    region: 'county, state, region, province, bundesland',
    postcode: 'postcode, postal code, zip, zip code, post code, plz, postleitzahl, code postal',
    country: 'country, land, pays',
    language: 'language, sprache, langue',
    tags: 'tags, labels, groups, categories, gruppen, etiquettes',
    since: 'since, client since, customer since, created, date added, kunde seit, client depuis',
    source: 'source, how they found us, referred by, herkunft, origine',
    notes: 'notes, note, comments, comment, remarks, notizen, bemerkungen, remarques',
  },
  invoice: {
    number:
      'number, invoice, invoice number, invoice no, no, rechnung, rechnungsnummer, facture, numero de facture',
    name: 'client, client name, customer, customer name, name, kunde, bill to, contact, contact name',
    email: 'email, e-mail, email address, client email, customer email, contact email',
    issued_on:
      'issued on, issued, date, invoice date, issue date, date issued, rechnungsdatum, datum, date de facture',
    due_on: 'due on, due, due date, faellig am, fallig am, faelligkeit, echeance, date d echeance',
    status: 'status, state, zustand, etat',
    description: 'description, item, item description, line, details, beschreibung, leistung, designation',
    quantity: 'quantity, qty, menge, anzahl, quantite',
    unit_price: 'unit price, price, rate, unit amount, einzelpreis, preis, prix unitaire',
    tax_rate: 'tax rate, tax, tax %, vat, vat rate, vat %, mwst, ust, tva',
    total: 'total, amount, gross, invoice total, total amount, betrag, summe, gesamt, montant, total ttc',
    paid: 'paid, amount paid, paid amount, bezahlt, paye, montant paye',
    paid_on: 'paid on, payment date, date paid, bezahlt am, paye le',
    method: 'method, payment method, zahlungsart, mode de paiement',
    notes: 'notes, note, comment, memo, bemerkungen, remarques',
  },
  payment: {
    number:
      'number, invoice, invoice number, invoice no, for invoice, rechnung, rechnungsnummer, facture, numero de facture',
    paid_on:
      'paid on, date, payment date, date paid, received, received on, datum, bezahlt am, date de paiement',
    amount: 'amount, payment, sum, amount paid, paid, received amount, betrag, summe, montant',
    method: 'method, payment method, how, type, zahlungsart, mode de paiement',
    reference: 'reference, ref, payment reference, verwendungszweck, referenz',
  },
} as const satisfies Record<TableKind, Record<string, string>>;

export type ColumnOf<Kind extends TableKind> = keyof (typeof CALLED)[Kind] | `custom.${string}`;
/** What a column is taken for; undefined: nothing. */
export type Columns<Kind extends TableKind> = readonly (ColumnOf<Kind> | undefined)[];

/** What the columns of such a table can be, in the order in which they are offered. */
export function columnsOf(kind: TableKind, fields: readonly CustomFieldData[] = []): string[] {
  return [
    ...Object.keys(CALLED[kind]),
    ...fields.filter(({ record }) => record === kind).map(({ key }) => `custom.${key}`),
  ];
}

/**
 * What each column of a table is likely to be, by what heads it; undefined where nothing tells. Each is guessed once: of two that
 * are called alike the first is taken.
 */
export function matchColumns<Kind extends TableKind>(
  kind: Kind,
  header: readonly string[],
  fields: readonly CustomFieldData[] = [],
): (ColumnOf<Kind> | undefined)[] {
  const known = new Map<string, string>();
  for (const { record, key, label } of fields) if (record === kind) known.set(plain(label), `custom.${key}`);
  for (const [column, called] of Object.entries(CALLED[kind]))
    for (const name of [column.replaceAll('_', ' '), ...called.split(', ')])
      if (!known.has(plain(name))) known.set(plain(name), column);
  const taken = new Set<string>();
  return header.map((head) => {
    const column = known.get(plain(head));
    if (column === undefined || taken.has(column)) return undefined;
    taken.add(column);
    return column as ColumnOf<Kind>;
  });
}

/** What a table likely holds: invoices have a number and what they come to, payments a number and what was paid and no client. */
export function kindOfTable(header: readonly string[]): TableKind {
  const heads = (kind: TableKind) => new Set<string | undefined>(matchColumns(kind, header));
  const [invoice, payment] = [heads('invoice'), heads('payment')];
  if (!invoice.has('number')) return 'client';
  if (!invoice.has('name') && !invoice.has('email') && payment.has('amount') && payment.has('paid_on'))
    return 'payment';
  return invoice.has('total') || invoice.has('unit_price') ? 'invoice' : 'client';
}

/** Whether one of the columns says what a client is called. */
export function hasName(columns: readonly (string | null | undefined)[]): boolean {
  return columns.some((one) => ['name', 'given_name', 'family_name', 'organisation'].includes(one ?? ''));
}

function plain(head: string): string {
  return foldText(head)
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();
}
