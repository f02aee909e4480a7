'use client';

import { useEffect, useState } from 'react';

/** How many seconds there are until a moment by this device's clock, as they pass; 0 where there is none. */
export function useSecondsUntil(moment: number | undefined): number {
  const [seconds, setSeconds] = useState(() => secondsUntil(moment));
  useEffect(() => {
    setSeconds(secondsUntil(moment));
    if (moment === undefined) return;
    const timer = setInterval(() => setSeconds(secondsUntil(moment)), 250);
    return () => clearInterval(timer);
  }, [moment]);
  return seconds;
}

function secondsUntil(moment: number | undefined): number {
  return moment === undefined ? 0 : Math.max(0, Math.ceil((moment - Date.now()) / 1000));
}
