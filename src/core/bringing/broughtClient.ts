import type { AddressData, Custom } from '../records/recordsFile';

/** A client as a file has them: what was understood, and what was not. */
export interface BroughtClient {
  /** the line or the card that it comes from, counted from 1 */
  row: number;
  /** undefined: too little was understood to make one */
  client?: BroughtFacts;
  doubts: Doubt[];
}

/** What is known of a client that comes in. */
export interface BroughtFacts {
  kind: 'person' | 'household' | 'organisation';
  name: string;
  given_name?: string;
  family_name?: string;
  honorific?: string;
  preferred_name?: string;
  email?: string;
  phone?: string;
  mobile?: string;
  address?: AddressData;
  language?: string;
  tags: string[];
  since?: string;
  source?: string;
  notes?: string;
  custom?: Custom;
}

/** Something in a row that was not understood, or is left out. */
export interface Doubt {
  /** the column's or property's name, as the file has it */
  column: string;
  /** what stands there */
  words: string;
  message: string;
}

/** Facts without those that are not there. */
export function present<Facts extends object>(facts: {
  [Fact in keyof Facts]: Facts[Fact] | undefined;
}): Facts {
  return Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined)) as Facts;
}
