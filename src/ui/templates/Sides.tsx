'use client';

const SIDES = ['Pencil', 'Ink', 'Words', 'Versions'] as const;
export type Side = (typeof SIDES)[number];

interface Props {
  id: string;
  side: Side;
  onTurn: (side: Side) => void;
}

/** The faces of a template, one of them turned to. */
export function Sides({ id, side, onTurn }: Props) {
  return (
    <div role="tablist" aria-label="Sides of the template" className="sides">
      {SIDES.map((one) => (
        <button
          key={one}
          type="button"
          role="tab"
          id={`${id}-${one}`}
          aria-selected={side === one}
          aria-controls={`${id}-panel`}
          tabIndex={side === one ? 0 : -1}
          onClick={() => onTurn(one)}
          onKeyDown={(event) => {
            const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
            if (!step) return;
            const next = SIDES[(SIDES.indexOf(side) + step + SIDES.length) % SIDES.length]!;
            onTurn(next);
            document.getElementById(`${id}-${next}`)?.focus();
          }}
        >
          {one}
        </button>
      ))}
    </div>
  );
}
