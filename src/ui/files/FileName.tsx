'use client';

import { useId, useState } from 'react';
import { changeFile } from './useRemovedFile';

interface Props {
  name: string;
  /** where its name is changed */
  address: string;
  onNamed: (name: string) => void;
  onLeave: () => void;
}

/** A file's name while it is written anew: Enter keeps it, Escape leaves it as it was. */
export function FileName({ name, address, onNamed, onLeave }: Props) {
  const [typed, setTyped] = useState(name);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  const problemId = useId();

  async function keep() {
    setBusy(true);
    const changed = await changeFile(address, { name: typed });
    setBusy(false);
    if ('trouble' in changed) setProblem(changed.trouble);
    else onNamed(changed.name);
  }

  return (
    <form
      className="file-name"
      onSubmit={(event) => {
        event.preventDefault();
        if (!busy) void keep();
      }}
    >
      <input
        className="form-control"
        aria-label={`What ${name} is called`}
        aria-invalid={problem !== undefined}
        aria-describedby={problemId}
        autoFocus
        maxLength={100}
        value={typed}
        onFocus={({ target }) => target.setSelectionRange(0, /\.[^.]+$/.exec(name)?.index ?? name.length)}
        onChange={({ target }) => setTyped(target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          event.stopPropagation();
          onLeave();
        }}
      />
      <button type="submit" className="btn btn-link" disabled={busy}>
        Keep
      </button>
      <button type="button" className="btn btn-link" onClick={onLeave}>
        Leave it
      </button>
      <p id={problemId} className="problem" role="alert">
        {problem}
      </p>
    </form>
  );
}
