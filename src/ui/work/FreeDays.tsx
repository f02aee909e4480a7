'use client';

import { useEffect, useState } from 'react';
import type { DayAsked } from '../../core/contract/freeDays';
import { askServer } from '../writing/askServer';
import { FreeDayList } from './FreeDayList';

/** Whether days that somebody asks for are free, as they are being written down. */
export function FreeDays({ days }: { days: readonly string[] }) {
  const asked = JSON.stringify({ days: days.slice(0, 31) });
  const [answer, setAnswer] = useState<{ asked: string; days: DayAsked[] | undefined }>();
  const isAsked = days.length > 0;
  useEffect(() => {
    if (!isAsked) return;
    let latest = true;
    void askServer<{ days?: DayAsked[] }>('/api/bookings/free-days', JSON.parse(asked)).then((got) => {
      if (latest) setAnswer({ asked, days: 'offline' in got ? undefined : got.body.days });
    });
    return () => {
      latest = false;
    };
  }, [asked, isAsked]);
  const told = isAsked && answer?.asked === asked ? answer : undefined;
  return (
    <div role="status">
      {told && told.days === undefined && (
        <p className="hint">Whether these days are free could not be looked up.</p>
      )}
      {told?.days && <FreeDayList days={told.days} />}
    </div>
  );
}
