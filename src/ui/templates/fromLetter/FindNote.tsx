import Button from 'react-bootstrap/Button';
import { isOtherForm, type Find, type Said } from '../../../core/recognise/find';

interface Props {
  find: Find;
  /** what was decided of it */
  said: Said | 'words' | undefined;
  onDecide: (said: Said | 'words' | undefined) => void;
}

/** What some words of the letter may say, with what to do about it. */
export function FindNote({ find, said, onDecide }: Props) {
  const words = find.words.replace(/\s*\n\s*/g, ' / ');
  if (said !== undefined)
    return (
      <li className="find-note">
        <q>{words}</q>{' '}
        <span className="entry-note">{said === 'words' ? 'stays as it is' : whatItSays(find, said)}</span>
        <Button
          variant="link"
          size="sm"
          aria-label={`Change what “${words}” is`}
          onClick={() => onDecide(undefined)}
        >
          Change
        </Button>
      </li>
    );
  return (
    <li className="find-note find-open">
      <p>
        <q>{words}</q>
      </p>
      <div className="find-choices" role="group" aria-label={`What “${words}” is`}>
        {[find, ...find.others].map((one) => (
          <Button
            key={`${one.path} ${one.says}`}
            size="sm"
            variant="outline-primary"
            onClick={() => onDecide({ path: one.path, steps: one.steps, says: one.says, label: one.label })}
          >
            {whatItSays(find, one)}
          </Button>
        ))}
        <Button size="sm" variant="link" onClick={() => onDecide('words')}>
          Leave the words
        </Button>
      </div>
    </li>
  );
}

/** “Visit, start”; where the field says it in another form, how. */
function whatItSays(find: Find, said: Said): string {
  return isOtherForm({ ...find, says: said.says })
    ? `${said.label}: “${said.says.replace(/\s*\n\s*/g, ' / ')}”`
    : said.label;
}
