import type { OwnFile } from '../../../core/contract/files';
import type { Called, Letterhead, Passage, Signature } from '../../../core/template/template';
import type { Database } from '../../database';
import { rowsAtOnce } from '../../rowsAtOnce';
import { OWN, ownRowsIn, signaturesIn, type OwnRows } from '../ownRows';
import { OF_BUSINESS as where } from '../wantedRows';

/** What the templates of a business are written with, beside its records. */
export interface SharedWords {
  /** of its records, what belongs to no client: recordsOfBusiness need not read it again */
  own: OwnRows;
  passages: Passage[];
  signatures: Signature[];
  letterhead: Letterhead;
  groups: Called[];
  files: OwnFile[];
}

/** Reads all of it in one query. */
export async function sharedWords(database: Database, business_id: string): Promise<SharedWords> {
  const rows = await rowsAtOnce(
    database,
    {
      ...OWN,
      passage: { columns: ['key', 'name', 'former_names', 'document'], where, order: 'name' },
      letterhead: { columns: ['part', 'document'], where },
      template_group: { columns: ['name', 'former_names'], where, order: 'position' },
      own_file: {
        columns: ['name', 'size', 'former_names'],
        where: `${where} and removed_at is null`,
        order: 'lower(name)',
      },
    },
    { business_id },
  );
  const own = ownRowsIn(rows)!;
  const called = <One extends { former_names: string[] }>({ former_names: formerly, ...one }: One) => ({
    ...one,
    formerly,
  });
  return {
    own,
    passages: rows.passage.map(called),
    signatures: signaturesIn(own),
    letterhead: Object.fromEntries(rows.letterhead.map(({ part, document }) => [part, document])),
    groups: rows.template_group.map(called),
    files: rows.own_file.map(({ name, size, former_names }) => ({
      name,
      size,
      ...(former_names.length > 0 ? { formerly: former_names } : {}),
    })),
  };
}
