import type { Writing } from './useWriting';

/** That somebody is writing the template's next version, and that this letter has nothing of it. */
export function Reworded({ writing: { reworded, store }, template }: { writing: Writing; template: string }) {
  const one = reworded.find(({ key }) => key === template);
  if (!one) return null;
  return (
    <p className="hint">
      {one.own ? 'You are' : `${one.by} is`} rewording “{store.desk.template(template)?.head.name}”. This
      letter uses the version before.
    </p>
  );
}
