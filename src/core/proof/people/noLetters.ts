import { askedForNone } from '../../describe/askedForNone';
import type { Check } from '../proofMark';

/** Whoever asked for no letters gets none; a letter to a partner or a colleague about them is none to them. */
export const checkNoLetters: Check = ({ head }, situation) => {
  const asked = askedForNone(situation);
  if (asked === undefined || (head.writtenTo ?? 'client') !== 'client') return [];
  return [
    {
      kind: 'stop',
      id: 'no letters',
      message: `${asked} Where that is no longer so, change it at the client.`,
    },
  ];
};
