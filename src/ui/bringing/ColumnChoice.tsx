import Form from 'react-bootstrap/Form';
import { columnWords } from '../../core/bringing/table/columnWords';
import type { TableKind } from '../../core/bringing/table/columns';
import type { CustomFieldData } from '../../core/records/recordsFile';
import type { Column } from './messages';

interface Props {
  kind: TableKind;
  columns: readonly Column[];
  taken: readonly (string | null)[];
  choices: readonly string[];
  fields: readonly CustomFieldData[];
  onTaken: (taken: (string | null)[]) => void;
}

/** What each column of a table is taken for: guessed, and chosen otherwise here. */
export function ColumnChoice({ kind, columns, taken, choices, fields, onTaken }: Props) {
  function take(at: number, column: string | null) {
    // One column is what another was until now.
    onTaken(
      columns.map((_, i) =>
        i === at ? column : column !== null && taken[i] === column ? null : (taken[i] ?? null),
      ),
    );
  }
  return (
    <ul className="column-choice">
      {columns.map(({ head, samples }, i) => (
        <li key={i}>
          <label htmlFor={`column-${i}`}>
            <span className="column-head">{head || `Column ${i + 1}`}</span>
            <span className="entry-note">{samples.join(' · ') || 'empty'}</span>
          </label>
          <Form.Select
            id={`column-${i}`}
            value={taken[i] ?? ''}
            onChange={({ target }) => take(i, target.value || null)}
          >
            <option value="">Not brought in</option>
            {choices.map((one) => (
              <option key={one} value={one}>
                {columnWords(kind, one, fields)}
              </option>
            ))}
          </Form.Select>
        </li>
      ))}
    </ul>
  );
}
