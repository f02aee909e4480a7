import { useId, type ReactNode } from 'react';
import Form from 'react-bootstrap/Form';

interface Props {
  value: string;
  autoFocus?: boolean;
  isWrong: boolean;
  /** the id of what says what is wrong */
  problem: string;
  /** what else is to be known of it */
  children?: ReactNode;
  onChange: (name: string) => void;
}

/** What a new template is called. */
export function TemplateNameField({ value, autoFocus = false, isWrong, problem, children, onChange }: Props) {
  const id = useId();
  return (
    <Form.Group controlId={id}>
      <Form.Label>Name</Form.Label>
      <Form.Control
        autoFocus={autoFocus}
        value={value}
        maxLength={100}
        isInvalid={isWrong}
        aria-describedby={`${id}-help ${problem}`}
        onChange={(event) => onChange(event.target.value)}
      />
      <Form.Text id={`${id}-help`}>For the team. Clients read the subject, not this.{children}</Form.Text>
    </Form.Group>
  );
}
