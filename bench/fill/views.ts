import { readDay } from '../../src/core/dates/civil';
import { readMoment, wallClockOf } from '../../src/core/dates/zone';
import { greetingName } from '../../src/core/people/names';
import type { Situation } from '../../src/core/records/which/situation';
import type { View } from './engines';

const DAY = 86_400_000;

/** The facts of a situation as the other libraries are given them. */
export function viewOf({ book, sender, client, booking, project, invoice }: Situation): View {
  const sums = book.sumsOf(invoice!.record);
  const moment = (iso: string | undefined) => readDay(iso ?? '')! * DAY;
  const { day, time } = wallClockOf(readMoment(booking!.record.starts_at!)!, book.zone);
  const { payments = [], lines = [] } = invoice!.record;
  return {
    greeting: greetingName(client!.record, (names) => names.join(' and '))!,
    business: { name: book.business.name!, email: book.business.email! },
    client: { name: client!.record.name!, town: client!.record.address!.town! },
    booking: { service: booking!.record.service!, starts: day * DAY + time },
    project: { title: project!.record.title!, notes: project!.record.notes! },
    invoice: {
      number: invoice!.record.number!,
      issued: moment(invoice!.record.issued_on),
      due: moment(invoice!.record.due_on),
      lastPaid: moment(payments.at(-1)!.paid_on),
      total: sums.amount,
      paid: sums.paid,
      balance: sums.balance,
      overdue: sums.daysOverdue > 0,
      days_overdue: sums.daysOverdue,
      lines: lines.map(({ description, quantity }) => ({
        description: description!,
        quantity: Number(quantity),
      })),
    },
    sender: {
      name: `${sender.given_name} ${sender.family_name}`,
      title: sender.title!,
      email: sender.email!,
    },
  };
}
