import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { GroupedTemplates } from '../../core/contract/list';
import { MakeGroup } from './arrange/MakeGroup';

interface Props {
  groups: readonly Pick<GroupedTemplates, 'key' | 'name'>[];
  /** the key of the group; empty: none; NEW_GROUP: it is still to be made */
  value: string;
  isWrong: boolean;
  onChange: (key: string) => void;
}

/** Chosen while the group is still to be made: no key is so. */
export const NEW_GROUP = ' new';

/** The group that a new template stands in; one can be made while it is chosen. */
export function GroupField({ groups: given, value, isWrong, onChange }: Props) {
  const [groups, setGroups] = useState(given);
  const id = useId();
  return (
    <>
      <Form.Group controlId={id}>
        <Form.Label>Group</Form.Label>
        <Form.Select value={value} isInvalid={isWrong} onChange={(event) => onChange(event.target.value)}>
          <option value="">no group yet</option>
          {groups.map(({ key, name }) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
          <option value={NEW_GROUP}>A new group …</option>
        </Form.Select>
      </Form.Group>
      {value === NEW_GROUP && (
        <MakeGroup
          button="Make the group"
          autoFocus
          onMade={({ key, name }) => {
            setGroups((before) => [...before, { key, name }]);
            onChange(key);
          }}
        />
      )}
    </>
  );
}
