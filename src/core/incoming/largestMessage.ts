/** A message of more bytes is not taken whole: no letter of ours has files of more (core/files/limits), and theirs are like it. */
export const LARGEST_MESSAGE = 45_000_000;
