import type { Keeping } from '../../core/contract/records/keeping';

const STATUS: Readonly<Record<Keeping<unknown>['result'], number>> = {
  kept: 200,
  overtaken: 409,
  gone: 404,
  wrong: 400,
};

/** The status that keeping a record's facts is answered with (RFC 9110). */
export function keptStatus({ result }: Keeping<unknown>): number {
  return STATUS[result];
}
