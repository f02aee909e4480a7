import { array, boolean, object, string } from 'yup';
import { day } from './records/parts';

/** Days that somebody asks for: given to `/api/bookings/free-days`. */
export const DAYS_ASKED = object({
  days: array(day().required()).required().max(31, 'At most 31 days.'),
  /** whether others near them are looked for */
  near: boolean(),
  /** the key of the enquiry that asks: what is held for it is free for it */
  enquiry: string().max(120),
  /** what is wanted, where it is no enquiry yet */
  service: string().max(200),
}).noUnknown();

/** Whether the days that a letter offers are held: given to `/api/letters/ID/held-days`. */
export const HOLD_DAYS = object({ held: boolean().required() }).noUnknown();

/** What is answered: those days, and the nearest to them that are free, the soonest first, where they were asked for. */
export interface FreeDaysAnswer {
  days: DayAsked[];
  nearest: DayAsked[];
}

/** What is known of such a day. */
export interface DayAsked {
  /** ISO */
  day: string;
  /** "Wednesday 9 December: free" */
  words: string;
  /** somebody has room, nobody is kept waiting for it, and the business works */
  free: boolean;
  /** "09:30 to 11:00, Oda Hartigan, Teo" */
  booked: string[];
  /** whom it is kept free for, by a letter that offers it: "for Sven Lindgren until Monday 30 November" */
  held: { letter: string; words: string }[];
}
