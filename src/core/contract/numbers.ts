import { number } from 'yup';

/** A whole number that a column of the database holds (PostgreSQL's integer). */
export const WHOLE_NUMBER = number().integer().max(2_147_483_647).required();

/** A version that a page was shown: a later writer is told when it is no longer the last. */
export const VERSION = WHOLE_NUMBER.positive();
