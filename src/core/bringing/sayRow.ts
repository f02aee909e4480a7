import { readDay } from '../dates/civil';
import { readMoment } from '../dates/zone';
import type { Formats } from '../fill/formats/formats';
import { sumLine } from '../records/derive/invoiceSums';
import type { BroughtFacts, BroughtKind } from './brought';

/** What a row says, in words: what it is called and the rest of it on one line. */
export interface SaidRow {
  name: string;
  note: string;
}

/** Says what a row would bring, as the business writes it. */
export function sayRow<Kind extends BroughtKind>(
  kind: Kind,
  facts: BroughtFacts[Kind],
  formats: Formats,
): SaidRow {
  const said = (...parts: (string | undefined)[]) => parts.filter(Boolean).join(', ');
  const date = (iso: string | undefined) => {
    const day = readDay(iso ?? '');
    return day === undefined ? undefined : formats.date(day, 'date');
  };
  switch (kind) {
    case 'client': {
      const { name, kind: sort, email, phone, mobile, address, tags } = facts as BroughtFacts['client'];
      return { name, note: said(sort, email, phone, mobile, address?.town, ...tags) };
    }
    case 'booking': {
      const { service, starts_at, ends_at, status, location, whose } = facts as BroughtFacts['booking'];
      const [from, until] = [readMoment(starts_at)!, readMoment(ends_at)!];
      const day = formats.dayOf(from);
      const end = formats.dayOf(until) === day ? formats.time(until) : formats.dateAndTime(until);
      const when = `${formats.date(day, 'date')} ${formats.time(from)}–${end}`;
      return { name: service, note: said(...whose.names, when, status, location?.street?.join(', ')) };
    }
    case 'invoice': {
      const { number, whose, issued_on, due_on, lines, payments, status } = facts as BroughtFacts['invoice'];
      const total = lines.reduce((sum, line) => sum + sumLine(line).amount, 0);
      const paid = payments.reduce((sum, { amount }) => sum + amount, 0);
      const due = date(due_on);
      return {
        name: number,
        note: said(
          ...whose.names,
          date(issued_on),
          formats.money(total),
          due && `due ${due}`,
          paid ? `${formats.money(paid)} paid` : undefined,
          status === 'void' ? 'void' : undefined,
        ),
      };
    }
    default: {
      const { number, paid_on, amount, method, reference } = facts as BroughtFacts['payment'];
      return { name: number, note: said(formats.money(amount), date(paid_on), method, reference) };
    }
  }
}
