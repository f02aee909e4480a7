import type { ReactNode } from 'react';

/** The page beside an index. */
export function PageArea({ children }: { children: ReactNode }) {
  return (
    <div id="page" className="page-area" tabIndex={-1}>
      {children}
    </div>
  );
}
