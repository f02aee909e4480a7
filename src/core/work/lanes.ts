/** A piece of a day, in minutes of the clock on the wall. */
interface Piece {
  from: number;
  until: number;
}

/**
 * Lays pieces that overlap side by side: each gets a lane, and how many lanes those that hang together need.
 * @param pieces by their beginning
 */
export function inLanes<P extends Piece>(pieces: readonly P[]): (P & { lane: number; lanes: number })[] {
  const laid: (P & { lane: number; lanes: number })[] = [];
  let together: (P & { lane: number; lanes: number })[] = [];
  let ends: number[] = [];
  const settle = () => {
    for (const piece of together) piece.lanes = ends.length;
    together = [];
    ends = [];
  };
  for (const piece of pieces) {
    if (ends.every((end) => end <= piece.from)) settle();
    const free = ends.findIndex((end) => end <= piece.from);
    const lane = free < 0 ? ends.length : free;
    ends[lane] = piece.until;
    const one = { ...piece, lane, lanes: 1 };
    together.push(one);
    laid.push(one);
  }
  settle();
  return laid;
}
