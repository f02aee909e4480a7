/** How much of the calendar is looked at. */
export const CALENDAR_VIEWS = ['day', 'week', 'month'] as const;
export type CalendarView = (typeof CALENDAR_VIEWS)[number];

/** A booking, or the part of it that lies on a day. */
export interface CalendarPiece {
  key: string;
  version: number;
  /** which of the days */
  day: number;
  /** minutes of the clock on the wall */
  from: number;
  until: number;
  /** where it stands beside others at the same time */
  lane: number;
  lanes: number;
  /** "09:30" */
  begins: string;
  /** "09:30 to 11:00" */
  time: string;
  client: string;
  service: string;
  /** whoever does it, by the given name */
  member?: string;
  status: 'tentative' | 'confirmed' | 'done';
  /** ISO with offset, of the whole booking */
  starts_at: string;
  ends_at: string;
}

interface CalendarDay {
  /** ISO */
  day: string;
  /** "Wednesday 25 November" */
  words: string;
  /** "Wed 25" */
  short: string;
  isToday: boolean;
  /** no working day */
  isOff: boolean;
  /** of another month than the one that is looked at */
  isOutside: boolean;
  /** for whom it is kept free, by a letter that offers it */
  held: CalendarHeld[];
}

/** A day that is kept free. */
export interface CalendarHeld {
  letter: string;
  /** "Sven Lindgren" */
  name: string;
  /** "Held for Sven Lindgren until Monday 30 November" */
  words: string;
  /** the key of the enquiry that asked for it */
  enquiry?: string;
}

/** A day, a week or a month of bookings. */
export interface Calendar {
  view: CalendarView;
  /** "Week of 23 November 2026" */
  title: string;
  /** the day that is looked at, ISO; and those before and after it */
  day: string;
  before: string;
  after: string;
  today: string;
  /** IANA: what the clock on the wall is read in */
  zone: string;
  days: CalendarDay[];
  /** those that have hours */
  pieces: CalendarPiece[];
  /** those that last over a whole day */
  whole: CalendarPiece[];
  /** the hours that are shown, each in words */
  hours: { from: number; until: number; words: string[] };
  /** minutes of the clock on the wall, where today is among the days */
  now?: number;
}
