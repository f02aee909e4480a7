import { useEffect, useRef, useState } from 'react';

/** A pointer that rests this many milliseconds on a link, or the focus, is likely to press it. */
const REST = 60;

/**
 * Whether a link is about to be pressed, so that its page can be fetched before it is: something rests on it, or the press has begun.
 * @returns the answer, and what the link listens with
 */
export function useNear() {
  const [near, setNear] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const come = () => {
    timer.current = setTimeout(() => setNear(true), REST);
  };
  const go = () => {
    clearTimeout(timer.current);
    setNear(false);
  };
  const listeners = {
    onPointerEnter: come,
    onPointerDown: () => setNear(true),
    onPointerLeave: go,
    onFocus: come,
    onBlur: go,
  };
  return [near, listeners] as const;
}
