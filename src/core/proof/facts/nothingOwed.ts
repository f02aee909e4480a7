import type { Check } from '../proofMark';

/** What is still to pay, wherever it is asked for. */
const OWED = /(?:^|\.)(?:balance|outstanding)$/;

/** A letter that asks for nothing: "£0.00 has not reached us". What stands in a listing is a row among others. */
export const checkNothingOwed: Check = ({ notes }) => {
  const zero = notes.find(({ path, raw, id }) => raw === 0 && OWED.test(path) && !id.includes('.'));
  if (!zero) return [];
  const of = zero.record?.startsWith('invoice:')
    ? `of invoice ${zero.record.slice('invoice:'.length)}`
    : 'any more';
  return [
    {
      kind: 'query',
      id: `nothing owed ${zero.record ?? ''}`,
      message: `Nothing is left to pay ${of}, and the letter says “${zero.value}”.`,
    },
  ];
};
