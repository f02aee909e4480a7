import type { Check } from '../proofMark';

/** A day that is offered and is not free any more. */
export const checkTakenDays: Check = ({ promised, taken }) => {
  const known = new Map(taken.map(({ day, words }) => [day, words]));
  return promised.flatMap(({ day, at }) => {
    const words = known.get(day);
    if (words === undefined) return [];
    return [
      {
        kind: 'query' as const,
        id: `taken ${day}`,
        message: `The letter offers a day that is not free. ${words}.`,
        at,
      },
    ];
  });
};
