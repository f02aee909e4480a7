interface Props {
  what: readonly string[];
  onRead: () => void;
}

/** What a letter may not contain and was not pasted. */
export function LeftOut({ what, onRead }: Props) {
  if (what.length === 0) return null;
  return (
    <p className="left-out" role="status">
      Left out of what was pasted: {what.join(', ')}.{' '}
      <button type="button" className="btn btn-link" onClick={onRead}>
        All right
      </button>
    </p>
  );
}
