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

/** The keys of the field above such a list: they mark another entry, take the marked one, or leave. */
export function listKeys(
  event: KeyboardEvent,
  count: number,
  {
    mark,
    take,
    close,
  }: { mark: (move: (now: number) => number) => void; take: () => void; close: () => void },
): void {
  if (event.nativeEvent.isComposing) return;
  const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 8, PageUp: -8 }[event.key];
  if (!step && event.key !== 'Enter' && event.key !== 'Tab') return;
  event.preventDefault();
  if (step) mark((now) => Math.max(0, Math.min(count - 1, now + step)));
  else if (event.key === 'Enter') take();
  else close();
}
