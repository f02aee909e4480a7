/**
 * The acts of the work that a template can belong to (`action:` in its head). What is worth writing today is offered
 * with the templates of its act.
 */
export const ACTS = [
  'enquiry answered',
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
