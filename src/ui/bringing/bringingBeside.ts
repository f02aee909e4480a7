import type { BroughtRow, OwnWays } from '../../core/bringing/brought';
import { columnsOf, matchColumns, type TableKind } from '../../core/bringing/table/columns';
import { NoSuchFile, openFile, type OpenFile, type ReadAs } from '../../core/bringing/openFile';
import { sayRow } from '../../core/bringing/sayRow';
import { Formats } from '../../core/fill/formats/formats';
import type { AskOfFile, ReadRow, ToldOfFile } from './messages';

/** So many cells of a column are shown. */
const SAMPLES = 3;

let file: OpenFile | undefined;
let own: OwnWays | undefined;
let formats: Formats | undefined;

/** Reads a file that is brought in. */
export function hear({ data: { id, ask } }: MessageEvent<{ id: number; ask: AskOfFile }>): void {
  try {
    postMessage({ id, told: answer(ask) });
  } catch (error) {
    const message = error instanceof NoSuchFile ? error.message : 'This file could not be read.';
    postMessage({ id, told: { type: 'refused', message } satisfies ToldOfFile });
  }
}

function answer(ask: AskOfFile): ToldOfFile {
  switch (ask.type) {
    case 'open': {
      own = ask.own;
      formats = new Formats({ ...own, home: own.locale });
      file = openFile(new Uint8Array(ask.bytes), own);
      const { form, kind, table, problems } = file;
      return {
        type: 'opened',
        form,
        kind,
        problems,
        ...(table
          ? {
              columns: table.header.map((head, i) => ({
                head,
                samples: table.rows
                  .flatMap(({ cells }) => cells[i] || [])
                  .slice(0, SAMPLES)
                  .map((words) => words.slice(0, 60)),
              })),
            }
          : {}),
      };
    }
    case 'guess':
      return {
        type: 'guessed',
        columns: matchColumns(ask.kind, file?.table?.header ?? [], own?.fields).map((one) => one ?? null),
        choices: columnsOf(ask.kind, own?.fields),
      };
    case 'read':
      return { type: 'read', rows: (file?.read(ask.as, ask.mends) ?? []).map((row) => said(row, ask.as)) };
    case 'mend': {
      const row = file?.readRow(ask.row, ask.as, ask.mends);
      return { type: 'read', rows: row ? [said(row, ask.as)] : [] };
    }
  }
}

/** A row with what it says in words. */
function said(row: BroughtRow, as: ReadAs | undefined): ReadRow {
  const kind = as?.kind ?? (file!.kind as TableKind | 'booking');
  return row.facts ? { ...row, said: sayRow(kind, row.facts as never, formats!) } : row;
}
