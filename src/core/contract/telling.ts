import { number, object } from 'yup';

/** The hours that a morning letter can come at. */
export const MORNING_HOURS = [5, 6, 7, 8, 9, 10] as const;

/** At which hour a member wants a letter with what waits; null: none. Given to `/api/morning-letter`. */
export const MORNING = object({
  hour: number()
    .oneOf([...MORNING_HOURS])
    .nullable()
    .defined(),
}).noUnknown();

/** A message that came in lately and waits, as a device tells of it: answered by `/api/letters/came-in`, the newest first. */
export interface CameInLately {
  messages: { id: string; from: string; subject: string }[];
}
