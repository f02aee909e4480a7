'use client';

import { lazy, Suspense, type ComponentType } from 'react';

/**
 * A part of a page that is fetched when it is first shown. Where it cannot be fetched, that is said in its place.
 * @param bring fetches its module
 */
export function lazyPart<Props extends object>(
  bring: () => Promise<{ default: ComponentType<Props> }>,
): ComponentType<Props> {
  const Part = lazy(() => bring().catch(() => ({ default: NotHere })));
  return function LazyPart(props: Props) {
    return (
      <Suspense fallback={<span className="opening">Fetching …</span>}>
        <Part {...props} />
      </Suspense>
    );
  };
}

function NotHere() {
  return (
    <p className="field-help" role="alert">
      This part could not be fetched. Open the page again when there is a connection.
    </p>
  );
}
