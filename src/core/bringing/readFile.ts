import type { BroughtKind, BroughtRow, OwnWays } from './brought';
import { hasName, matchColumns } from './table/columns';
import type { Decoded } from './decodeText';
import { openFile, type OpenFile } from './openFile';

/** What would come in from a file. */
export interface BroughtFile {
  form: OpenFile['form'];
  encoding: Decoded['encoding'];
  kind: BroughtKind;
  /** of a table: what parts its cells, what heads its columns, and what each is taken for */
  table?: { separator: string; columns: { head: string; as?: string }[] };
  rows: BroughtRow[];
  /** what is in doubt of no row in particular, each with its line */
  problems: { line: number; message: string }[];
}

/**
 * Reads a file as far as it can be without anybody's help. Nothing is changed by it.
 * @throws NoSuchFile
 */
export function readFile(bytes: Uint8Array, own: OwnWays): BroughtFile {
  const { form, encoding, kind, table, problems, read } = openFile(bytes, own);
  const columns = table && kind !== 'booking' ? matchColumns(kind, table.header, own.fields) : [];
  return {
    form,
    encoding,
    kind,
    ...(table
      ? {
          table: {
            separator: table.separator,
            columns: table.header.map((head, i) => (columns[i] ? { head, as: columns[i] } : { head })),
          },
        }
      : {}),
    rows: read(),
    problems: [...(isNameMissing() ? [NO_NAME] : []), ...problems],
  };

  function isNameMissing(): boolean {
    return kind === 'client' && table !== undefined && table.header.length > 0 && !hasName(columns);
  }
}

const NO_NAME = { line: 1, message: 'No column is headed as a name: say which one is.' };
