/**
 * The acts of the work that a template can belong to (`action:` in its head). What is worth writing today is offered
 * with the templates of its act.
 */
export const ACTS = [
  'enquiry answered',
  'enquiry day taken',
  'visit confirmed',
  'visit ahead',
  'visit moved',
  'visit cancelled',
  'visit done',
  'invoice sent',
  'invoice overdue',
  'instalment due',
  'payment received',
  'job begun',
  'job finished',
] as const;

export type Act = (typeof ACTS)[number];

/** The kind of record that an act is done to. */
export function actedOn(act: Act): 'enquiry' | 'booking' | 'invoice' | 'project' {
  if (act.startsWith('visit')) return 'booking';
  if (act.startsWith('job')) return 'project';
  return act.startsWith('enquiry') ? 'enquiry' : 'invoice';
}

/** An act as a word of an address, and back: "visit-moved". */
export function actWord(act: Act): string {
  return act.replaceAll(' ', '-');
}
export function actOfWord(word: string): Act | undefined {
  return ACTS.find((act) => actWord(act) === word);
}
