import type { Keeping } from '../../core/contract/records/keeping';

const STATUS: Readonly<Record<Keeping<unknown>['result'], number>> = {
  kept: 200,
  elsewhere: 200,
  overtaken: 409,
  gone: 404,
  wrong: 400,
};

/** The answer to keeping a record's facts, with its status (RFC 9110). */
export function kept<Facts>(keeping: Keeping<Facts>): Response {
  const error = keeping.result === 'gone' ? { error: 'This is no longer there.' } : {};
  return Response.json({ ...keeping, ...error }, { status: STATUS[keeping.result] });
}
