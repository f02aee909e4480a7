import type { Check } from '../proofMark';

/** Every hole stops the letter, each once however often it occurs. */
export const checkHoles: Check = ({ holes }) =>
  [...new Map(holes.map((hole) => [hole.reason, hole])).values()].map(({ id, reason }) => ({
    kind: 'stop',
    id: `hole ${reason}`,
    message: reason,
    hole: id,
  }));
