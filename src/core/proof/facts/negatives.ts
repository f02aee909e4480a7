import type { Check } from '../proofMark';

/** An answer below nothing (−3 hours, −£5) is nearly always a slip. */
export const checkNegatives: Check = ({ notes }) =>
  notes
    .filter(
      ({ record, raw, reason }) =>
        record === undefined && reason === 'answered for this letter' && Number(raw) < 0,
    )
    .filter(({ path }, i, all) => all.findIndex((one) => one.path === path) === i)
    .map(({ path, value }) => ({
      kind: 'query',
      id: `negative ${path} ${value}`,
      message: `“${path}” is below nothing: ${value}.`,
    }));
