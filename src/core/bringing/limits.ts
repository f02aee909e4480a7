/** A file that is brought in is at most so long, in bytes. */
export const MOST_BYTES = 20_000_000;
