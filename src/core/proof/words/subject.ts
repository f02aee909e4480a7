import type { Check } from '../proofMark';

/** A letter without a subject is not opened. */
export const checkSubject: Check = ({ subject }) =>
  subject.trim()
    ? []
    : [{ kind: 'stop', id: 'subject', message: 'The subject is empty. Write what the letter is about.' }];
