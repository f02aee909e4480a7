import { boolean, number, object, type InferType } from 'yup';

/** What holds for the business, those that are given: given to `/api/settings`. */
export const SETTINGS = object({
  /** days between one reminder of an invoice and the next letter about it */
  reminderSpacing: number().integer().min(1).max(90),
  /** hours after which a letter that could not go is held */
  lateAfter: number().integer().min(1).max(240),
  /** days without use until a device is signed out */
  idleDays: number().integer().min(1).max(30),
  /** seconds in which a letter can be taken back */
  takeBackSeconds: number().integer().min(5).max(120),
  /** days within which the same letter to the same person is asked about */
  sameLetterDays: number().integer().min(1).max(90),
  /** days for which what was seen last stays on a device, for when there is no connection; 0: nothing does */
  deviceDays: number().integer().min(0).max(60),
  /** letters say, in the address to which they are answered, which one is answered */
  marksReplies: boolean(),
  /** letters have a small picture in them that tells when it is shown */
  asksOpened: boolean(),
}).noUnknown();
export type Settings = InferType<typeof SETTINGS>;

/** Those that are numbers. */
export type NumberSettings = Exclude<keyof Settings, 'marksReplies' | 'asksOpened'>;
