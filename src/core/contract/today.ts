import type { Occasion } from '../occasions/occasion';
import type { BookingWords } from '../records/bookingWords';

/** Something worth writing now, with the letter that fits, filled. */
export interface TodayCard extends Pick<Occasion, 'act' | 'start' | 'name' | 'reason'> {
  /** names the occasion, to put it off */
  id: string;
  /** the member whose work it is, where that is another one */
  whose?: string;
  /** absent when no template fits */
  template?: { key: string; name: string };
  /** how the letter begins */
  beginning?: string;
  /** what keeps it from going, or wants to be looked at */
  open: number;
}

/** The letter to read next: answered by `/api/occasions?after=invoice:LPC-1048`; absent where nothing waits. */
export interface NextAnswer {
  next?: Required<Pick<TodayCard, 'name' | 'reason' | 'start' | 'template'>>;
}

/** What Today shows. */
export interface Today {
  /** "Wednesday 25 November" */
  date: string;
  iso: string;
  cards: TodayCard[];
  /** how many there are besides */
  more: number;
  /** whether there may be still more than those */
  uncounted: boolean;
  visits: { key: string; time: string; name: string; service: string }[];
  /** what the business calls a booking, and several */
  words: BookingWords;
}
