import { object, string, type InferType } from 'yup';

/** What letters are in, as Post is narrowed by it. */
export const LETTER_STATES = [
  'needs somebody',
  'waits for an answer',
  'for later',
  'going out',
  'gone',
  'came back',
  'came in',
] as const;
export type NarrowingState = (typeof LETTER_STATES)[number];

/** How long ago: within so many days, or before the last year. */
const LETTER_TIMES = ['7', '30', '90', '365', 'before'] as const;

/** Which letters of the business: asked of `/api/letters` by its names, beside words. */
export const LETTER_NARROWING = object({
  state: string().oneOf(LETTER_STATES),
  /** the key of whoever wrote them, or whose the answered one was */
  member: string().max(200),
  /** the key of the template that they were written from */
  template: string().max(200),
  time: string().oneOf(LETTER_TIMES),
}).noUnknown();
export type LetterNarrowing = InferType<typeof LETTER_NARROWING>;

/** What letters can be narrowed by that a business has of its own, each key with its name: answered by `/api/letters/narrowing`. */
export interface NarrowingChoices {
  members: [key: string, name: string][];
  templates: [key: string, name: string][];
}

/** Whether it leaves anything out. */
export function isNarrowed(narrowing: LetterNarrowing): boolean {
  return Object.values(narrowing).some(Boolean);
}

/** The part of an address that asks for it; empty where nothing is narrowed. */
export function askedBy(narrowing: LetterNarrowing): string {
  const given = Object.entries(narrowing).filter(([, value]) => value);
  return new URLSearchParams(given as [string, string][]).toString();
}
