/** A sign beside words that say the same. @param sign its path, of `signs` or their like */
export function Icon({ sign }: { sign: string }) {
  return (
    <svg className="icon" viewBox="0 0 16 16" width="1em" height="1em" fill="currentColor" aria-hidden="true">
      <path d={sign} />
    </svg>
  );
}
