import type { BroughtKind, BroughtRow, Mends, OwnWays } from '../../core/bringing/brought';
import type { TableKind } from '../../core/bringing/table/columns';
import type { OpenFile, ReadAs } from '../../core/bringing/openFile';
import type { SaidRow } from '../../core/bringing/sayRow';

/** What the worker that reads a file is asked. */
export type AskOfFile =
  | { type: 'open'; bytes: ArrayBuffer; own: OwnWays }
  | { type: 'guess'; kind: TableKind }
  | { type: 'read'; as?: ReadAs | undefined; mends: ReadonlyMap<number, Mends> }
  | { type: 'mend'; row: number; as?: ReadAs | undefined; mends: Mends };

/** A row with what it says in words. */
export type ReadRow = BroughtRow & { said?: SaidRow };

/** A column of a table: its head, and some of what stands in it. */
export interface Column {
  head: string;
  samples: string[];
}

/** What it tells. */
export type ToldOfFile =
  | {
      type: 'opened';
      form: OpenFile['form'];
      kind: BroughtKind;
      problems: OpenFile['problems'];
      /** of a table */
      columns?: Column[];
    }
  /** what each column likely is, and what it can be */
  | { type: 'guessed'; columns: (string | null)[]; choices: string[] }
  | { type: 'read'; rows: ReadRow[] }
  | { type: 'refused'; message: string };
