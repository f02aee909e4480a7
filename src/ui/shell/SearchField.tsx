import { useId } from 'react';
import FormControl from 'react-bootstrap/FormControl';

interface Props {
  /** says what can be found, in the field */
  label: string;
  value: string;
  onChange: (wanted: string) => void;
  /** Enter: to the first that was found */
  onEnter: () => void;
}

/** The search above a list; the / key goes to it. */
export function SearchField({ label, value, onChange, onEnter }: Props) {
  const id = useId();
  return (
    <div className="index-search">
      <label htmlFor={id} className="visually-hidden">
        {label}
      </label>
      <FormControl
        id={id}
        type="search"
        placeholder={label}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || event.nativeEvent.isComposing) return;
          event.preventDefault();
          onEnter();
        }}
        data-search=""
      />
    </div>
  );
}

/** Puts the cursor into the search that is in sight. Gives whether there is one. */
export function goToSearch(): boolean {
  const search = document.querySelector<HTMLElement>('[data-search]');
  if (!search?.offsetParent) return false;
  search.focus();
  return true;
}
