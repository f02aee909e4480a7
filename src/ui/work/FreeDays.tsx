'use client';

import { FreeDayList } from './FreeDayList';
import { useFreeDays } from './useFreeDays';

/** Whether days that somebody asks for are free for what they want done, as they are being written down. */
export function FreeDays({ days, service }: { days: readonly string[]; service: string }) {
  const told = useFreeDays(days, { near: false, ...(service ? { service } : {}) });
  return (
    <div role="status">
      {told && !told.answer && <p className="hint">Whether these days are free could not be looked up.</p>}
      {told?.answer && <FreeDayList days={told.answer.days} />}
    </div>
  );
}
