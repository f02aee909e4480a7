/** A group's printed square, like a drop capital. */
export function GroupInitial({ initial, tint }: { initial: string; tint: string }) {
  return (
    <span className={`group-initial tint-${tint}`} aria-hidden="true">
      {initial}
    </span>
  );
}
