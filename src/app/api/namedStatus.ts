import type { NamedAnswer } from '../../core/contract/named';

/** What a change to a passage or a signature is answered with. */
export const NAMED_STATUS = {
  done: 200,
  taken: 409,
  wrong: 422,
  overtaken: 409,
  used: 409,
  gone: 404,
} as const satisfies Record<NamedAnswer['result'], number>;
