import type { BroughtKind } from '../../core/bringing/brought';

/** What records of a kind are called, and where they are. */
export interface KindWords {
  one: string;
  many: string;
  href: string;
}

/** @param words what the business calls bookings */
export function kindWords(words: { booking: string; bookings: string }): Record<BroughtKind, KindWords> {
  return {
    client: { one: 'client', many: 'clients', href: '/clients' },
    booking: { one: words.booking, many: words.bookings, href: '/work/bookings' },
    invoice: { one: 'invoice', many: 'invoices', href: '/work/invoices' },
    payment: { one: 'payment', many: 'payments', href: '/work/invoices' },
  };
}
