/** The kinds of record, as templates name them. A recipient is a role that several kinds can play. */
export const RECORD_KINDS = [
  'business',
  'member',
  'client',
  'contact',
  'recipient',
  'partner',
  'item',
  'enquiry',
  'project',
  'booking',
  'invoice',
  'line',
  'payment',
  'instalment',
] as const;

export type RecordKind = (typeof RECORD_KINDS)[number];

/** The records a message can be written from. */
export const STARTING_POINTS = ['client', 'enquiry', 'project', 'booking', 'invoice'] as const;

export type StartingKind = (typeof STARTING_POINTS)[number];

/** The kinds of record that have a list of their own. */
export type ListedKind = StartingKind | 'partner';

export function isListedKind(word: string): word is ListedKind {
  return word === 'partner' || isStartingKind(word);
}

/** Whether a word names a kind of record that a letter can start from. */
export function isStartingKind(word: string): word is StartingKind {
  return (STARTING_POINTS as readonly string[]).includes(word);
}
