import Link from 'next/link';
import type { MouseEvent } from 'react';
import type { NextLetter } from './nextLetter';

interface Props {
  /** the letter to read next */
  next: NextLetter | undefined;
  /** where this one will be found */
  after: { href: string; words: string };
  /** until then a press is none: it was meant for what stood here before */
  settled: boolean;
}

/** Where to go from a letter that has left its writer's hands. */
export function AfterLinks({ next, after, settled }: Props) {
  const unlessTwice = (event: MouseEvent) => {
    if (!settled) event.preventDefault();
  };
  return (
    <div className="foot-line foot-links">
      {next && (
        <Link href={next.href} prefetch={false} onClick={unlessTwice} className="btn btn-outline-primary">
          Next: {next.name}, “{next.template.name}”
        </Link>
      )}
      <Link href={after.href} onClick={unlessTwice}>
        {after.words}
      </Link>
      <Link href="/today" onClick={unlessTwice}>
        Back to Today
      </Link>
    </div>
  );
}
