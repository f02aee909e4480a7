'use client';

import { FreeDayList } from './FreeDayList';
import { useFreeDays } from './useFreeDays';

/** Whether days that somebody asks for are free, as they are being written down. */
export function FreeDays({ days }: { days: readonly string[] }) {
  const told = useFreeDays(days, { near: false });
  return (
    <div role="status">
      {told && !told.answer && <p className="hint">Whether these days are free could not be looked up.</p>}
      {told?.answer && <FreeDayList days={told.answer.days} />}
    </div>
  );
}
