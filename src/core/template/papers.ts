/** What a template attaches that is made of a letter's own records, by how its head has it, in words. */
export const PAPERS = {
  'invoice pdf': 'the invoice as PDF',
  'booking calendar entry': 'the calendar entry',
} as const;

export type Paper = keyof typeof PAPERS;

export const PAPER_NAMES = Object.keys(PAPERS) as Paper[];

export function isPaper(name: string): name is Paper {
  return Object.hasOwn(PAPERS, name);
}
