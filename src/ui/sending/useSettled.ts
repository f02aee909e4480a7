'use client';

import { useEffect, useState } from 'react';

/** A second press on what stood here a moment ago is none on what stands here now: milliseconds. */
const SETTLES = 600;

/** Whether what stands here has stood here long enough to be meant. */
export function useSettled(): boolean {
  const [settled, setSettled] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(true), SETTLES);
    return () => clearTimeout(timer);
  }, []);
  return settled;
}
