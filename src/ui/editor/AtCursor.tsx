import { useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';

/** Where something stands in the window. */
export interface CursorPlace {
  left: number;
  top: number;
  bottom: number;
}

interface Props {
  label: string;
  at: CursorPlace;
  onClose: () => void;
  children: ReactNode;
}

const WIDTH = 400;
const HEIGHT = 340;

/** A list at the cursor, above or below it; a press elsewhere and Escape close it. On a phone it stands at the foot. */
export function AtCursor({ label, at, onClose, children }: Props) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const press = (event: PointerEvent) => {
      if (!box.current?.contains(event.target as Node)) onClose();
    };
    document.addEventListener('pointerdown', press);
    return () => document.removeEventListener('pointerdown', press);
  }, [onClose]);
  const above = at.bottom + HEIGHT > window.innerHeight && at.top > HEIGHT;
  return (
    <div
      ref={box}
      className="field-list"
      role="dialog"
      aria-label={label}
      style={{
        left: Math.max(8, Math.min(at.left, window.innerWidth - WIDTH - 8)),
        ...(above ? { bottom: window.innerHeight - at.top + 4 } : { top: at.bottom + 4 }),
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onClose();
      }}
    >
      {children}
      <button type="button" className="btn btn-link field-list-close" onClick={onClose}>
        Close
      </button>
    </div>
  );
}

interface FieldProps {
  /** of the list that it stands above */
  list: string;
  label: string;
  placeholder: string;
  /** how many entries are shown, and which is marked */
  count: number;
  marked: number;
  wanted: string;
  onWant: (wanted: string) => void;
  onMark: (move: (now: number) => number) => void;
  onTake: () => void;
  onClose: () => void;
}

/** The field above such a list, whose entries are called by its id and their number: keys mark another, take the marked one, or leave. */
export function ListField({
  list,
  label,
  placeholder,
  count,
  marked,
  wanted,
  onWant,
  onMark,
  onTake,
  onClose,
}: FieldProps) {
  function press(event: KeyboardEvent) {
    if (event.nativeEvent.isComposing) return;
    const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 8, PageUp: -8 }[event.key];
    if (!step && event.key !== 'Enter' && event.key !== 'Tab') return;
    event.preventDefault();
    if (step) onMark((now) => Math.max(0, Math.min(count - 1, now + step)));
    else if (event.key === 'Enter') onTake();
    else onClose();
  }
  return (
    <input
      className="form-control"
      type="search"
      role="combobox"
      aria-expanded="true"
      aria-controls={`${list}-list`}
      aria-activedescendant={marked < count ? `${list}-${marked}` : undefined}
      aria-label={label}
      placeholder={placeholder}
      autoFocus
      value={wanted}
      onChange={(event) => {
        onWant(event.target.value);
        onMark(() => 0);
      }}
      onKeyDown={press}
    />
  );
}
