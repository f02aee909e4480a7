import type { Moment } from '../dates/zone';

/** Somebody's time at a client. Members, clients and items are named by their keys. */
export interface Slot {
  starts: Moment;
  ends: Moment;
  /** absent: it is not said who */
  member?: string | undefined;
  client: string;
  items: readonly string[];
}

/** Why two bookings are hardly both kept. */
type ClashKind =
  /** they are for the same thing at the same time */
  | 'item'
  /** whoever does them does both at the same time */
  | 'member'
  /** at the same time, and it is not said who does one of them */
  | 'unsaid'
  /** the way from one to the other takes longer than is left */
  | 'travel';

export interface Clash<Other> {
  with: Other;
  kind: ClashKind;
  /** whole minutes between the two; 0 where they overlap */
  minutes: number;
}

const MINUTE = 60_000;

/**
 * What stands in the way of a booking.
 * @param travel minutes from one client to the next
 */
export function clashesOf<Other extends Slot>(
  wanted: Slot,
  others: readonly Other[],
  travel: number,
): Clash<Other>[] {
  return others.flatMap((other) => {
    const gap = Math.max(other.starts - wanted.ends, wanted.starts - other.ends);
    const sameMember = wanted.member !== undefined && wanted.member === other.member;
    if (gap >= 0) {
      const minutes = Math.floor(gap / MINUTE);
      return sameMember && wanted.client !== other.client && minutes < travel
        ? { with: other, kind: 'travel' as const, minutes }
        : [];
    }
    const sharesItem =
      wanted.client === other.client && wanted.items.some((item) => other.items.includes(item));
    if (sharesItem) return { with: other, kind: 'item' as const, minutes: 0 };
    if (sameMember) return { with: other, kind: 'member' as const, minutes: 0 };
    if (wanted.member === undefined || other.member === undefined)
      return { with: other, kind: 'unsaid' as const, minutes: 0 };
    return [];
  });
}
