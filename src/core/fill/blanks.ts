import { readDay } from '../dates/civil';
import { decimalString, minorDigits, readAmount } from '../money/currency';
import { scalar, type FieldType } from '../records/fieldType';
import type { BlankType, Blank } from '../document/templateDocument';

/** A blank as its definition says, the same wherever it is used. */
export interface BlankDefinition {
  name: string;
  answer: BlankType;
  /** the default, read by its type */
  preset?: unknown;
}

/** The type of a blank's answer, as a field of it would have; a choice is a text. */
export function typeOfBlank({ kind }: BlankType): FieldType {
  return scalar(kind === 'choice' ? 'text' : kind);
}

/** Whether a blank's tag says what it is, not only that its answer stands here too. */
export function isDefinition({ attrs: { answer, default: preset } }: Blank): boolean {
  return answer !== undefined || preset !== undefined;
}

/** A definition as one comparable text: two tags that say the same define one blank. */
export function definitionKey({ attrs: { answer, default: preset } }: Blank): string {
  return JSON.stringify([answer ?? { kind: 'text' }, preset ?? null]);
}

const EARLIEST = readDay('1900-01-01')!;
const LATEST = readDay('2199-12-31')!;

/** Reads an answer as its type; a message says what was expected when it does not fit. */
export function readAnswer(
  text: string,
  type: BlankType,
  currency: string,
): { value: unknown } | { expected: string } {
  const trimmed = text.trim();
  switch (type.kind) {
    case 'text':
      return { value: trimmed.replace(/\s*\n\s*/g, ' ') };
    case 'long text':
      return { value: trimmed.replace(/\r\n?/g, '\n') };
    case 'number':
      // More digits than anything that is counted, written or measured.
      return /^-?\d{1,9}(?:\.\d{1,6})?$/.test(trimmed)
        ? { value: Number(trimmed) }
        : { expected: 'a number, as 3 or 2.5' };
    case 'money': {
      const value = readAmount(trimmed, currency);
      return value === undefined ? { expected: 'a sum, as 65 or 65.00' } : { value };
    }
    case 'date': {
      const value = readDay(trimmed);
      // A year with a digit missing is no date of a letter.
      return value === undefined || value < EARLIEST || value > LATEST
        ? { expected: 'a date, as 2026-03-31' }
        : { value };
    }
    case 'yes/no':
      return trimmed === 'yes' || trimmed === 'no' ? { value: trimmed === 'yes' } : { expected: 'yes or no' };
    case 'choice':
      return type.of.includes(trimmed) ? { value: trimmed } : { expected: `one of ${type.of.join(', ')}` };
  }
}

/** An answer as it would be typed, from its raw value: what readAnswer reads as the same. */
export function typedAnswer(raw: unknown, type: BlankType, currency: string): string {
  if (raw === null || raw === undefined) return '';
  if (type.kind === 'money') return decimalString(raw as number, minorDigits(currency));
  if (type.kind === 'yes/no') return raw ? 'yes' : 'no';
  return String(raw);
}
