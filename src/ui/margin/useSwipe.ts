'use client';

import { useRef, type TouchEvent } from 'react';

/** A finger that went so far sideways, and more so than up or down, has swiped: CSS pixels. */
const FAR = 48;

/** Hears of a finger's swipes over an element: 1 to the next, towards the left, -1 back. */
export function useSwipe(onSwipe: (to: 1 | -1) => void) {
  const from = useRef<{ x: number; y: number } | undefined>(undefined);
  return {
    onTouchStart: ({ touches }: TouchEvent) => {
      const touch = touches[0];
      from.current = touches.length === 1 && touch ? { x: touch.clientX, y: touch.clientY } : undefined;
    },
    onTouchEnd: ({ changedTouches }: TouchEvent) => {
      const touch = changedTouches[0];
      const began = from.current;
      from.current = undefined;
      if (!touch || !began) return;
      const across = touch.clientX - began.x;
      if (Math.abs(across) < FAR || Math.abs(across) < 2 * Math.abs(touch.clientY - began.y)) return;
      onSwipe(across < 0 ? 1 : -1);
    },
  };
}
