import type { ReactNode } from 'react';
import Form from 'react-bootstrap/Form';

interface ControlProps<Value> {
  label: string;
  value: Value;
  onChange: (value: Value) => void;
}

/** One of some, by what they are called; a value that is none of them stays until another is chosen. */
export function Choice({
  label,
  value,
  options,
  onChange,
}: ControlProps<string> & { options: readonly (readonly [string, string])[] }) {
  const known = options.find(([one]) => one.toLowerCase() === value.toLowerCase());
  return (
    <Labelled label={label}>
      <Form.Select size="sm" value={known?.[0] ?? value} onChange={(event) => onChange(event.target.value)}>
        {!known && <option value={value}>{value}</option>}
        {options.map(([one, words]) => (
          <option key={one} value={one}>
            {words}
          </option>
        ))}
      </Form.Select>
    </Labelled>
  );
}

/** Words on one line, handed over when they are left or by Enter. */
export function Words({
  label,
  value,
  placeholder,
  onChange,
}: ControlProps<string> & { placeholder?: string }) {
  return (
    <Labelled label={label}>
      <Form.Control
        key={value}
        size="sm"
        defaultValue={value}
        placeholder={placeholder}
        maxLength={200}
        onBlur={(event) => {
          const typed = event.target.value.trim();
          if (typed !== value) onChange(typed);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !event.nativeEvent.isComposing) event.currentTarget.blur();
        }}
      />
    </Labelled>
  );
}

export function Yes({ label, value, onChange }: ControlProps<boolean>) {
  return (
    <label className="check">
      <input type="checkbox" checked={value} onChange={(event) => onChange(event.target.checked)} />
      {label}
    </label>
  );
}

function Labelled({ label, children }: { label: string; children: ReactNode }) {
  return (
    <label className="field-fallback">
      <span className="form-label">{label}</span>
      {children}
    </label>
  );
}
