'use client';

import { useEffect, useState } from 'react';
import { FILE_SIZE } from '../../core/files/limits';

/** How large something at an address is that is made when it is asked for, in bytes; undefined as long as that is not known. */
export function useSizeOf(address: string | undefined): number | undefined {
  const [known, setKnown] = useState<{ address: string; size: number }>();
  useEffect(() => {
    if (address === undefined) return;
    const off = new AbortController();
    fetch(address, { method: 'HEAD', signal: off.signal })
      .then(({ ok, headers }) => {
        const size = Number(headers.get(FILE_SIZE));
        if (ok && size > 0) setKnown({ address, size });
      })
      // Without a connection it is told when it goes.
      .catch(() => undefined);
    return () => off.abort();
  }, [address]);
  return known?.address === address ? known?.size : undefined;
}
