import { dayAt } from '../../dates/zone';
import { readDayAtStart, type Day } from '../../dates/civil';
import { formatsOf } from '../../fill/formats/formatsOf';
import { SCHEMA_DEFAULTS } from '../../records/defaults';
import { startOf } from '../../records/recordBook';
import type { Situation } from '../../records/which/situation';
import { datesIn } from '../../reading/datesIn';
import { isSaidByField, type Line } from '../reading/lines';
import { sumsIn } from '../../reading/sumsIn';
import type { Check, Proofed, ProofMark } from '../proofMark';

/** A day that is not further from one of the records' is likely meant to be that; days. */
const NEAR_DAYS = 3;
/** A sum that differs by no more than this part of it is likely meant to be that. */
const NEAR_SUM = 0.1;

interface Fact {
  value: number;
  /** “the balance of invoice LPC-1048” */
  what: string;
}

/** A sum or a day typed by hand that is near one of the records' and is not it: a figure slipped. */
export const checkNearFacts: Check = (letter, situation) => [
  ...nearSums(letter, situation),
  ...nearDays(letter, situation),
];

function nearSums({ lines, asFilled, language }: Proofed, situation: Situation): ProofMark[] {
  const { book } = situation;
  const { currency = SCHEMA_DEFAULTS.currency } = book.business;
  const inLine = ({ text }: Line) => sumsIn(text, currency, language);
  const facts = sumsOf(situation);
  const known = new Set([
    ...facts.map(({ value }) => value),
    ...asFilled.flatMap(inLine).map(({ amount }) => amount),
  ]);
  const formats = formatsOf(book, language);
  return lines.flatMap((line) =>
    inLine(line).flatMap(({ from, to, amount }) => {
      if (known.has(amount) || isSaidByField(line, from, to)) return [];
      const near = facts.find(({ value }) => value > 0 && isNearSum(amount, value));
      return near ? [mark(line, { from, to }, near.what, formats.money(near.value))] : [];
    }),
  );
}

function nearDays({ lines, asFilled, language }: Proofed, situation: Situation): ProofMark[] {
  const { book } = situation;
  const inLine = ({ text }: Line) => datesIn(text, language, book.today);
  const facts = daysOf(situation);
  const known = new Set([
    book.today,
    ...facts.map(({ value }) => value),
    ...asFilled.flatMap(inLine).map(({ day }) => day),
  ]);
  const formats = formatsOf(book, language);
  return lines.flatMap((line) =>
    inLine(line).flatMap(({ from, to, day }) => {
      if (known.has(day) || isSaidByField(line, from, to)) return [];
      const near = facts.find(({ value }) => Math.abs(value - day) <= NEAR_DAYS);
      return near ? [mark(line, { from, to }, near.what, formats.date(near.value, 'long date'))] : [];
    }),
  );
}

function mark(line: Line, { from, to }: { from: number; to: number }, what: string, fact: string): ProofMark {
  const written = line.text.slice(from, to);
  return {
    kind: 'query',
    id: `near ${written} ${fact}`,
    message: `“${written}” is near ${what}, ${fact}, and is not it.`,
    at: { line: line.index, from, to },
    cure: { words: `Write “${fact}”`, put: fact },
  };
}

/** Whether two sums are near each other, or have the same figures in another order. */
function isNearSum(one: number, other: number): boolean {
  const figures = (sum: number) => [...String(Math.abs(sum))].sort().join('');
  return Math.abs(one - other) <= other * NEAR_SUM || figures(one) === figures(other);
}

function sumsOf({ book, invoice, booking }: Situation): Fact[] {
  const facts: Fact[] = [];
  if (invoice) {
    const sums = book.sumsOf(invoice.record);
    const of = `of invoice ${invoice.record.number ?? invoice.record.key}`;
    facts.push(
      { value: sums.balance, what: `what is left to pay ${of}` },
      { value: sums.amount, what: `the total ${of}` },
      { value: sums.paid, what: `what was paid ${of}` },
      ...(invoice.record.instalments ?? []).map(({ amount = 0 }) => ({
        value: amount,
        what: `an instalment ${of}`,
      })),
    );
  }
  const price = booking?.record.price;
  if (price !== undefined) facts.push({ value: price, what: `the price of the ${book.words.booking}` });
  return facts;
}

function daysOf({ book, invoice, booking }: Situation): Fact[] {
  const facts: Fact[] = [];
  if (booking?.record.starts_at)
    facts.push({
      value: dayAt(startOf(booking.record), book.zone),
      what: `the day of the ${book.words.booking}`,
    });
  const { due_on, issued_on, instalments = [] } = invoice?.record ?? {};
  const add = (iso: string | undefined, what: string) => {
    const day: Day | undefined = iso === undefined ? undefined : readDayAtStart(iso);
    if (day !== undefined) facts.push({ value: day, what });
  };
  add(due_on, 'the day the invoice is due');
  add(issued_on, 'the day of the invoice');
  for (const { due_on: due } of instalments) add(due, 'the day an instalment is due');
  return facts;
}
