import type { Moment } from '../dates/zone';

/** A piece of time. */
export interface Piece {
  starts: Moment;
  ends: Moment;
}

/** Somebody's time that is taken; absent member: it is not said whose. */
export type TakenTime = Piece & { member?: string | undefined };

/** What a visit needs, in minutes. */
export interface Needed {
  minutes: number;
  /** the way from one client to the next */
  travel: number;
}

const MINUTE = 60_000;

/**
 * The pieces of a working day that are long enough for a visit, the ways to and from what stands beside it left out. A visit that is longer
 * than the day needs all of it.
 * @param taken in any order; it may reach beyond the day
 */
export function roomOnDay(day: Piece, taken: readonly Piece[], { minutes, travel }: Needed): Piece[] {
  const needed = Math.min(minutes * MINUTE, day.ends - day.starts);
  const room: Piece[] = [];
  let from = day.starts;
  for (const { starts, ends } of [...taken].sort((a, b) => a.starts - b.starts)) {
    const until = Math.min(starts - travel * MINUTE, day.ends);
    if (needed > 0 && until - from >= needed) room.push({ starts: from, ends: until });
    from = Math.max(from, ends + travel * MINUTE);
  }
  if (needed > 0 && day.ends - from >= needed) room.push({ starts: from, ends: day.ends });
  return room;
}

/** Of some members those who have room on a day, each with when. What is nobody’s yet may be anybody’s. */
export function whoHasRoom(
  members: readonly string[],
  day: Piece,
  taken: readonly TakenTime[],
  needed: Needed,
): { member: string; room: Piece[] }[] {
  return members.flatMap((member) => {
    const theirs = taken.filter((one) => one.member === undefined || one.member === member);
    const room = roomOnDay(day, theirs, needed);
    return room.length > 0 ? [{ member, room }] : [];
  });
}
