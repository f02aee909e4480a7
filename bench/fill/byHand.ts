import type { Note } from '../../src/core/fill/filled';
import { Formats } from '../../src/core/fill/formats/formats';
import { escapeWithBreaks } from '../../src/core/fill/write/escape';
import type { View } from './engines';

const formats = new Formats({
  locale: 'en-GB',
  home: 'en-GB',
  zone: 'Europe/London',
  currency: 'GBP',
  hourCycle: 24,
});
const DAY = 86_400_000;
const P = '<p style="margin:0 0 1em">';

const NONE: readonly string[] = [];

/**
 * The letter, its text and its notes as somebody would write them by hand for this one letter with our writers of
 * dates and sums, every fact given: what could at most be had. Nothing in it is ever missing.
 */
export function letterByHand(view: View): { html: string; text: string; notes: Note[] } {
  const { greeting, business, client, booking, project, invoice, sender } = view;
  const notes: Note[] = [];
  const note = (id: string, path: string, value: string, raw: unknown, record: string, reason: string) => {
    notes.push({ id, path, label: path, said: path, value, raw, steps: NONE, record, reason });
    return value;
  };
  const e = escapeWithBreaks;
  const date = (moment: number, form: 'date' | 'long date' | 'day and month') =>
    formats.date(Math.floor(moment / DAY), form);
  const own = `invoice:${invoice.number}`;
  const started = 'the invoice you started from';
  const hello = note('1', 'recipient.greeting_name', greeting, greeting, 'client', 'the client');
  const house = note('2', 'business.name', business.name, business.name, 'business', 'the business');
  const name = note('3', 'client.name', client.name, client.name, 'client', 'of the invoice');
  const town = note('4', 'client.address.town', client.town, client.town, 'client', 'of the invoice');
  const service = note('5', 'booking.service', booking.service, booking.service, 'booking', 'the last');
  const long = date(booking.starts, 'long date');
  note('6', 'booking.starts_at', long, booking.starts, 'booking', 'the last');
  const title = note('7', 'project.title', project.title, project.title, 'project', 'of the invoice');
  const notesOf = note('8', 'project.notes', project.notes, project.notes, 'project', 'of the invoice');
  const number = note('9', 'invoice.number', invoice.number, invoice.number, own, started);
  const issued = note('a', 'issued_on', date(invoice.issued, 'date'), invoice.issued, own, started);
  const total = note('b', 'total', formats.money(invoice.total), invoice.total, own, started);
  const paid = note('c', 'paid', formats.money(invoice.paid), invoice.paid, own, started);
  const last = note('d', 'last', date(invoice.lastPaid, 'day and month'), invoice.lastPaid, own, started);
  const balance = note('e', 'balance', formats.money(invoice.balance), invoice.balance, own, started);
  let html = `${P}Hello ${e(hello)},</p>${P}thank you for having ${e(house)} at ${e(name)} in ${e(town)}. The ${e(service)} of ${e(long)} is part of <strong>${e(title)}</strong>, as ${e(notesOf)}.</p>${P}Here is invoice ${e(number)} of ${e(issued)} over ${e(total)}. You have paid ${e(paid)}, the last of it on ${e(last)}; ${e(balance)} is still open.</p>`;
  let text = `Hello ${hello},\n\nthank you for having ${house} at ${name} in ${town}. The ${service} of ${long} is part of ${title}, as ${notesOf}.\n\nHere is invoice ${number} of ${issued} over ${total}. You have paid ${paid}, the last of it on ${last}; ${balance} is still open.\n\n`;
  if (invoice.overdue) {
    const due = note('f', 'due_on', date(invoice.due, 'date'), invoice.due, own, started);
    const days = formats.decimal(invoice.days_overdue);
    note('g', 'days_overdue', days, invoice.days_overdue, own, started);
    html += `${P}It was due on ${e(due)}, ${e(days)} days ago.</p>`;
    text += `It was due on ${due}, ${days} days ago.\n\n`;
  }
  html += '<ul style="margin:0 0 1em;padding:0 0 0 24px">';
  for (let i = 0; i < invoice.lines.length; i++) {
    const line = invoice.lines[i]!;
    const which = `number ${i + 1} of ${invoice.lines.length} in the list`;
    const what = note(`h.${i}`, 'description', line.description, line.description, own, which);
    const many = note(`i.${i}`, 'quantity', formats.decimal(line.quantity), line.quantity, own, which);
    html += `<li style="margin:0">${e(what)}: ${e(many)}</li>`;
    text += `- ${what}: ${many}\n`;
  }
  const write = note('j', 'business.email', business.email, business.email, 'business', 'the business');
  const who = note('k', 'sender.full_name', sender.name, sender.name, 'member', 'whoever writes');
  const as = note('l', 'sender.title', sender.title, sender.title, 'member', 'whoever writes');
  const at = note('m', 'sender.email', sender.email, sender.email, 'member', 'whoever writes');
  html += `</ul>${P}Write to ${e(write)} when something is not right.</p>${P}${e(who)}<br>${e(as)}<br>${e(at)}</p>`;
  text += `\nWrite to ${write} when something is not right.\n\n${who}\n${as}\n${at}\n`;
  return { html, text, notes };
}
