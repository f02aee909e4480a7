'use client';

import { useEffect, useState, type ComponentType } from 'react';
import { afterPaint } from './afterPaint';

/** The notes that belong to no page: they are fetched when the page stands. */
export function AfterPage({ owner }: { owner: string }) {
  const [Notes, setNotes] = useState<ComponentType<{ owner: string }>>();
  useEffect(
    () =>
      afterPaint(() => {
        // Without a connection they come with the next page.
        void import('./OtherNotes').then(
          (module) => setNotes(() => module.default),
          () => undefined,
        );
      }),
    [],
  );
  return Notes && <Notes owner={owner} />;
}
