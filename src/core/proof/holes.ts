import type { Check } from './proofMark';

/** Every hole stops the letter, each once however often it occurs. */
export const checkHoles: Check = ({ holes }) =>
  [...new Set(holes.map(({ reason }) => reason))].map((message) => ({ kind: 'stop', message }));
