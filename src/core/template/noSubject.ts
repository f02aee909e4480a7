import type { Line } from '../document/templateDocument';

/** What a template without a subject needs before a letter of it can go: a gap in its place. */
export const NO_SUBJECT: Line = [{ type: 'gap', attrs: { words: 'what it is about' } }];
