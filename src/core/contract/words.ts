import { string } from 'yup';
import { LONGEST_WORDS } from '../template/text/tooLarge';

/** Words in their text form; none at all are words, too. */
export const WORDS = string()
  .defined()
  .max(LONGEST_WORDS, `These words are longer than ${LONGEST_WORDS} characters.`);
