import { readWrittenSum } from '../../money/readWrittenSum';
import { isAddress } from '../../addressing/addresses';
import type { Doubt, Mends, OwnWays } from '../brought';
import type { Table, TableRow } from './readTable';
import { readWrittenDay } from '../readWrittenDay';

const MOST_WORDS = 200;

interface Asked<Column extends string> {
  table: Table;
  row: TableRow;
  /** what each column is */
  columns: readonly (Column | undefined)[];
  own: Pick<OwnWays, 'locale' | 'currency'>;
  mends?: Mends | undefined;
}

/** Reads one row of a table, fact by fact, with what was written instead of what stands in it. What is not understood is a doubt. */
export class RowReader<Column extends string> {
  readonly doubts: Doubt[] = [];
  readonly #said = new Map<Column, { words: string; head: string }>();
  readonly #own: Asked<Column>['own'];

  constructor({ table, row, columns, own, mends = {} }: Asked<Column>) {
    this.#own = own;
    for (const message of row.problems) this.doubts.push({ column: '', words: '', message });
    columns.forEach((column, i) => {
      // Where a cell was made harmless for spreadsheets, as ours are, it says what stands behind the apostrophe.
      const words = (row.cells[i] ?? '').replace(/^'(?=[=+\-@])/, '');
      if (column && words) this.#said.set(column, { words, head: table.header[i] ?? '' });
    });
    for (const [fact, words] of Object.entries(mends)) {
      const column = fact as Column;
      const head = this.#said.get(column)?.head ?? fact.replaceAll('_', ' ');
      if (words.trim()) this.#said.set(column, { words: words.trim(), head });
      else this.#said.delete(column);
    }
  }

  /** What stands there, whatever it is. */
  words(column: Column): string | undefined {
    return this.#said.get(column)?.words;
  }

  /** Notes that something is in doubt; gives nothing, for what is left out. */
  doubt(column: Column, message: string): undefined {
    const { words = '', head = '' } = this.#said.get(column) ?? {};
    this.doubts.push({ column: head, words: words.slice(0, 300), message, fact: column });
    return undefined;
  }

  /** On one line, however many it stands on. */
  text(column: Column, most = MOST_WORDS): string | undefined {
    return this.lines(column, most)?.replace(/\s*[\r\n]+\s*/g, ' ');
  }

  lines(column: Column, most: number): string | undefined {
    const words = this.words(column);
    if (words === undefined || words.length <= most) return words;
    return this.doubt(column, `That is longer than ${most} characters. It is left out.`);
  }

  day(column: Column): string | undefined {
    const words = this.text(column);
    if (words === undefined) return undefined;
    return (
      readWrittenDay(words, this.#own.locale) ?? this.doubt(column, 'There is no such day. It is left out.')
    );
  }

  /** In minor units. */
  sum(column: Column): number | undefined {
    const words = this.text(column);
    if (words === undefined) return undefined;
    const { currency, locale } = this.#own;
    return (
      readWrittenSum(words, currency, locale) ??
      this.doubt(column, `This is no sum in ${currency}. It is left out.`)
    );
  }

  /** A decimal as text, between two. */
  decimal(column: Column, least: number, most: number): string | undefined {
    const words = this.text(column)?.replace(/\s*%$/, '').replace(',', '.');
    if (words === undefined) return undefined;
    const [number, isOne] = [Number(words), /^-?\d{1,9}(?:\.\d{1,6})?$/.test(words)];
    if (isOne && number >= least && number <= most) return words;
    return this.doubt(column, `This is no number between ${least} and ${most}. It is left out.`);
  }

  email(column: Column): string | undefined {
    const words = this.text(column, 254);
    if (words === undefined || isAddress(words)) return words;
    const several = words.split(/[,;\s]+/).filter(isAddress);
    this.doubt(
      column,
      several.length > 0
        ? `Several addresses: ${several[0]!} is taken.`
        : 'This is no email address. It is left out.',
    );
    return several[0];
  }

  phone(column: Column): string | undefined {
    const words = this.text(column, 60);
    if (words === undefined) return undefined;
    // A spreadsheet makes 1.23E+10 of a long number, and drops the 0 before it.
    if (/^\d(?:[.,]\d+)?E\+\d+$/i.test(words))
      return this.doubt(column, 'A spreadsheet has cut this number. It is left out.');
    return /\d.*\d.*\d/.test(words)
      ? words
      : this.doubt(column, 'This is no telephone number. It is left out.');
  }
}
