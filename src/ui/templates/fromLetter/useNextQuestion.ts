'use client';

import { useCallback, useEffect, useRef, type RefObject } from 'react';

/**
 * Once something was decided the next question has the focus, where the one before is no longer; with none left, what is said of all.
 * @returns where the questions stand, and what is called with each decision
 */
export function useNextQuestion(): { questions: RefObject<HTMLElement | null>; decided: () => void } {
  const questions = useRef<HTMLElement>(null);
  const moves = useRef(false);
  useEffect(() => {
    if (!moves.current) return;
    moves.current = false;
    const { current } = questions;
    (
      current?.querySelector<HTMLElement>('.find-open button') ??
      current?.querySelector<HTMLElement>('[role="status"]')
    )?.focus();
  });
  return { questions, decided: useCallback(() => void (moves.current = true), []) };
}
