import type { Check } from '../proofMark';

/** Whoever gets the letter must be able to answer. */
export const checkSender: Check = ({ addressing: { from } }) =>
  from.email
    ? []
    : [
        {
          kind: 'stop',
          id: 'sender',
          message: `${from.name || 'The sender'} has no email address to write from. Add one, or the business’s own.`,
        },
      ];
