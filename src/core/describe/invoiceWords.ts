/** What an invoice on paper calls its parts. */
export interface InvoiceWords {
  invoice: string;
  draft: string;
  void: string;
  number: string;
  issued: string;
  due: string;
  to: string;
  what: string;
  quantity: string;
  price: string;
  discount: string;
  tax: string;
  amount: string;
  net: string;
  total: string;
  paid: string;
  balance: string;
  instalments: string;
  left: string;
  howToPay: string;
  payOnline: string;
  /** "page 1 of 2" */
  page: (page: number, of: number) => string;
}

const ENGLISH: InvoiceWords = {
  invoice: 'Invoice',
  draft: 'Draft',
  void: 'Void',
  number: 'Number',
  issued: 'Date',
  due: 'Due',
  to: 'To',
  what: 'Description',
  quantity: 'Quantity',
  price: 'Price',
  discount: 'Discount',
  tax: 'Tax',
  amount: 'Amount',
  net: 'Net',
  total: 'Total',
  paid: 'Paid',
  balance: 'To pay',
  instalments: 'Payable in parts',
  left: 'Left',
  howToPay: 'How to pay',
  payOnline: 'Pay online',
  page: (page, of) => `Page ${page} of ${of}`,
};

const WORDS: Readonly<Record<string, InvoiceWords>> = {
  en: ENGLISH,
  de: {
    invoice: 'Rechnung',
    draft: 'Entwurf',
    void: 'Storniert',
    number: 'Nummer',
    issued: 'Datum',
    due: 'Zahlbar bis',
    to: 'An',
    what: 'Leistung',
    quantity: 'Menge',
    price: 'Preis',
    discount: 'Nachlass',
    tax: 'Steuer',
    amount: 'Betrag',
    net: 'Netto',
    total: 'Gesamt',
    paid: 'Bezahlt',
    balance: 'Zu zahlen',
    instalments: 'Zahlbar in Teilen',
    left: 'Offen',
    howToPay: 'Zahlung',
    payOnline: 'Online bezahlen',
    page: (page, of) => `Seite ${page} von ${of}`,
  },
  fr: {
    invoice: 'Facture',
    draft: 'Brouillon',
    void: 'Annulée',
    number: 'Numéro',
    issued: 'Date',
    due: 'Échéance',
    to: 'À',
    what: 'Désignation',
    quantity: 'Quantité',
    price: 'Prix',
    discount: 'Remise',
    tax: 'Taxe',
    amount: 'Montant',
    net: 'Total hors taxe',
    total: 'Total',
    paid: 'Payé',
    balance: 'À payer',
    instalments: 'Payable en plusieurs fois',
    left: 'Reste',
    howToPay: 'Règlement',
    payOnline: 'Payer en ligne',
    page: (page, of) => `Page ${page} sur ${of}`,
  },
};

/** The words of an invoice in a language; English where there are none of its own. @param language BCP 47 */
export function invoiceWords(language: string): InvoiceWords {
  return WORDS[language.split('-')[0]!.toLowerCase()] ?? ENGLISH;
}
