import type { PassageAnswer } from '../../../core/contract/passages';

/** What a change to a passage is answered with. */
export const PASSAGE_STATUS = {
  done: 200,
  taken: 409,
  wrong: 422,
  overtaken: 409,
  used: 409,
  gone: 404,
} as const satisfies Record<PassageAnswer['result'], number>;
