import type { BookingData, InvoiceData } from '../records/recordsFile';

/** “LPC-1048.pdf” */
export function invoiceFileName({ number, key }: InvoiceData): string {
  return `${plain(number ?? `draft ${key}`)}.pdf`;
}

/** “tuning visit.ics” */
export function visitFileName({ service }: BookingData): string {
  return `${plain(service ?? 'visit')}.ics`;
}

/** “Invoice LPC-1048.eml” */
export function letterFileName(subject: string): string {
  return `${plain(subject).slice(0, 80) || 'letter'}.eml`;
}

/** What every system takes as the name of a file. */
function plain(name: string): string {
  return name.replace(/[^\p{L}\p{N} ._-]/gu, '-');
}
