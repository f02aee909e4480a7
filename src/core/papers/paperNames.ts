import type { BookingData, InvoiceData } from '../records/recordsFile';

/** “LPC-1048.pdf” */
export function invoiceFileName({ number, key }: InvoiceData): string {
  return `${plain(number ?? `draft ${key}`)}.pdf`;
}

/** “tuning visit.ics” */
export function visitFileName({ service }: BookingData): string {
  return `${plain(service ?? 'visit')}.ics`;
}

/** What every system takes as the name of a file. */
function plain(name: string): string {
  return name.replace(/[^\p{L}\p{N} ._-]/gu, '-');
}
