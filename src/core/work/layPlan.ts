import type { InstalmentData } from '../records/recordsFile';
import { isoOf, readDay } from '../dates/civil';
import { percentOf, readDecimal } from '../money/exact';

/** A part of a usual payment plan. */
interface PlanPart {
  /** percent of the whole */
  share: number;
  /** so many days after it was issued */
  days: number;
}

/**
 * Lays a payment plan over a sum. Each part is rounded half to even; the last one takes what is left, so that together they come
 * to the sum.
 * @param total minor units
 * @param issued ISO date
 */
export function layPlan(
  parts: readonly PlanPart[],
  total: number,
  issued: string,
): Required<InstalmentData>[] {
  const from = readDay(issued);
  if (from === undefined) return [];
  let left = total;
  return parts.map(({ share, days }, at) => {
    const amount = at === parts.length - 1 ? left : percentOf(total, readDecimal(share)!);
    left -= amount;
    return { due_on: isoOf(from + days), amount };
  });
}
