'use client';

import { useEffect, useState } from 'react';
import type { FreeDaysAnswer } from '../../core/contract/freeDays';
import { askServer } from '../writing/askServer';

/** A request names at most so many. */
const MOST = 31;

/**
 * Whether days that somebody asks for are free, and which near them; `answer` is absent where that could not be looked up, all of it until it has
 * been.
 */
export function useFreeDays(
  days: readonly string[],
  { near, enquiry, service }: { near: boolean; enquiry?: string | undefined; service?: string | undefined },
): { answer?: FreeDaysAnswer } | undefined {
  const asked = JSON.stringify({ days: days.slice(0, MOST), near, enquiry, service });
  const [told, setTold] = useState<{ asked: string; answer?: FreeDaysAnswer }>();
  const isAsked = days.length > 0 || enquiry !== undefined;
  useEffect(() => {
    if (!isAsked) return;
    let latest = true;
    void askServer<Partial<FreeDaysAnswer>>('/api/bookings/free-days', JSON.parse(asked)).then((got) => {
      if (!latest) return;
      const { days: found, nearest } = 'offline' in got ? {} : got.body;
      setTold({ asked, ...(found && nearest ? { answer: { days: found, nearest } } : {}) });
    });
    return () => {
      latest = false;
    };
  }, [asked, isAsked]);
  return isAsked && told?.asked === asked ? told : undefined;
}
