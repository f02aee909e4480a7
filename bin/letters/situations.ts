/** When it is in them. */
export const SITUATIONS_AT = Date.parse('2026-11-25T09:00:00Z');

/**
 * Situations of the demonstration on Wednesday 25 November 2026, nine in London, with the template that a thoughtful owner would take.
 * Written down from the records alone, before the ranking was looked at.
 */
export const SITUATIONS: readonly (readonly [from: string, right: string])[] = [
  // Nine weeks overdue; 24 days, reminded ten days ago; 9 days and 2 days, never reminded.
  ['invoice:LPC-1034', 'Last reminder'],
  ['invoice:LPC-1048', 'Second reminder'],
  ['invoice:LPC-1052', 'First reminder'],
  ['invoice:LPC-1056', 'First reminder'],
  // Open, in instalments, the first of which is paid.
  ['invoice:LPC-1053', 'Payment plan'],
  // A part of it was paid three weeks ago, the rest is not due.
  ['invoice:LPC-1050', 'Paid, with thanks'],
  // Open and sent: if anything, once more.
  ['invoice:LPC-1054', 'Invoice enclosed'],
  ['invoice:LPC-1055', 'Invoice enclosed'],
  ['invoice:LPC-1057', 'Invoice enclosed'],
  ['invoice:LPC-1058', 'Invoice enclosed'],
  ['invoice:LPC-1059', 'Invoice enclosed'],
  // Paid.
  ['invoice:LPC-1051', 'Paid, with thanks'],
  ['invoice:LPC-1049', 'Paid, with thanks'],
  ['invoice:LPC-1047', 'Paid, with thanks'],
  ['invoice:LPC-1046', 'Paid, with thanks'],
  ['invoice:LPC-1045', 'Paid, with thanks'],
  ['invoice:LPC-1043', 'Paid, with thanks'],
  ['invoice:LPC-1035', 'Paid, with thanks'],
  ['invoice:LPC-1001', 'Paid, with thanks'],
  // Visits that were, some days or weeks ago.
  ['booking:b51', 'Looking after it'],
  ['booking:b50', 'Looking after it'],
  ['booking:b49', 'Looking after it'],
  ['booking:b48', 'Looking after it'],
  ['booking:b47', 'Looking after it'],
  ['booking:b46', 'Looking after it'],
  ['booking:b42', 'Looking after it'],
  // Today, tomorrow and the day after.
  ['booking:b52', 'Visit coming up'],
  ['booking:b53', 'Visit coming up'],
  ['booking:b54', 'Visit coming up'],
  ['booking:b-hartigan', 'Visit coming up'],
  ['booking:b-delacruz', 'Visit coming up'],
  ['booking:b58', 'Visit coming up'],
  ['booking:b-obriain', 'Visit coming up'],
  // Concerts: whoever opens the door has to know everything.
  ['booking:b57', 'Concert tuning'],
  ['booking:b-quayarts', 'Concert tuning'],
  ['booking:b79', 'Concert tuning'],
  ['booking:b85', 'Concert tuning'],
  // Agreed, and not confirmed yet.
  ['booking:b61', 'Visit confirmed'],
  ['booking:b62', 'Visit confirmed'],
  ['booking:b-saltbyschool', 'Visit confirmed'],
  ['booking:b64', 'Visit confirmed'],
  ['booking:b65', 'Visit confirmed'],
  ['booking:b66', 'Visit confirmed'],
  ['booking:b-college', 'Visit confirmed'],
  ['booking:b-reyes', 'Visit confirmed'],
  ['booking:b73', 'Visit confirmed'],
  ['booking:b-hartigan-2', 'Visit confirmed'],
  // She reads German.
  ['booking:b81', 'Termin bestätigt'],
  // Jobs: finished, under way, only asked about.
  ['project:dunmore-move', 'Thank you, and a question'],
  ['project:saltbyschool-hall', 'Thank you, and a question'],
  ['project:tideline-voicing', 'Thank you, and a question'],
  ['project:calder-strings', 'Thank you, and a question'],
  ['project:college-regulation', 'How the work is going'],
  ['project:obriain-action', 'How the work is going'],
  ['project:latimer-keys', 'How the work is going'],
  ['project:vollrath-restoration', 'How the work is going'],
  ['project:quayarts-season', 'What the work would cost'],
  ['project:academy-humidity', 'What the work would cost'],
  ['project:fairhaven-hire', 'What the work would cost'],
  ['project:stpetroc-repair', 'What the work would cost'],
  // Enquiries that wait: whoever is new is thanked first.
  ['enquiry:e1', 'Thank you for asking'],
  ['enquiry:e2', 'Thank you for asking'],
  // Two invoices are open; several visits are to come and nothing is owed; nothing in particular.
  ['client:college', 'Statement of account'],
  ['client:hartigan', 'Statement of account'],
  ['client:reyes', 'Statement of account'],
  ['client:calder', 'Short note'],
  ['client:fenwick', 'Short note'],
  ['client:kowal', 'Short note'],
];
