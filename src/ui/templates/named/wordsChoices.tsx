import Form from 'react-bootstrap/Form';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { withArticle } from '../../../core/fill/formats/article';
import { bookingWords } from '../../../core/records/bookingWords';
import { STARTING_POINTS, type StartingKind } from '../../../core/records/recordKind';

interface GroupProps {
  id: string;
  groups: readonly { key: string; name: string }[];
  /** its key; null: none */
  value: string | null;
  onChange: (key: string | null) => void;
}

/** The group that words of their own stand in. */
export function GroupOfWords({ id, groups, value, onChange }: GroupProps) {
  return (
    <Form.Group controlId={id}>
      <Form.Label>Group</Form.Label>
      <Form.Select size="sm" value={value ?? ''} onChange={(event) => onChange(event.target.value || null)}>
        {groups.map(({ key, name }) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
        <option value="">no group</option>
      </Form.Select>
    </Form.Group>
  );
}

interface FromProps {
  id: string;
  facts: WordsFacts;
  value: StartingKind;
  onChange: (kind: StartingKind) => void;
}

/** The kind of record that words of their own are seen from. */
export function SeenFrom({ id, facts, value, onChange }: FromProps) {
  const { booking } = bookingWords(facts.business.booking_label);
  return (
    <Form.Group controlId={id}>
      <Form.Label>Seen from</Form.Label>
      <Form.Select size="sm" value={value} onChange={(event) => onChange(event.target.value as StartingKind)}>
        {STARTING_POINTS.map((kind) => (
          <option key={kind} value={kind}>
            {withArticle(kind === 'booking' ? booking : kind)}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
}
