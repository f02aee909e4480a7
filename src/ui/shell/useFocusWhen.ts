'use client';

import { useEffect, useRef, type RefObject } from 'react';

/**
 * Where one was has gone from the page: the focus goes to what stands in its place, each time that something has come.
 * @param come what has come; false or undefined: nothing
 */
export function useFocusWhen<Element extends HTMLElement>(come: unknown): RefObject<Element | null> {
  const place = useRef<Element>(null);
  useEffect(() => {
    if (come) place.current?.focus();
  }, [come]);
  return place;
}
