import type { KeepAnswer } from '../../../../core/contract/templateWords';

/** What the keeping of a version is answered with. */
export const KEPT_STATUS = {
  kept: 200,
  wrong: 422,
  overtaken: 409,
  gone: 404,
  refused: 403,
} as const satisfies Record<KeepAnswer['result'], number>;
