import { SIGNS, type Sign } from './signs';

/** A sign beside words that say the same. */
export function Icon({ name }: { name: Sign }) {
  return (
    <svg className="icon" viewBox="0 0 16 16" width="1em" height="1em" fill="currentColor" aria-hidden="true">
      <path d={SIGNS[name]} />
    </svg>
  );
}
