import { uuidInDigits, uuidOfDigits } from './replyMark';

/** A letter of a business. */
export interface LetterOfBusiness {
  business_id: string;
  id: string;
}

/** By what a letter is known whose small picture is fetched: nobody guesses it who has not got the letter. */
export function openedMark({ business_id, id }: LetterOfBusiness): string {
  return uuidInDigits(business_id) + uuidInDigits(id);
}

/** The letter that a mark is of; undefined: it is none. */
export function readOpenedMark(mark: string): LetterOfBusiness | undefined {
  const [business_id, id] = [uuidOfDigits(mark.slice(0, 26)), uuidOfDigits(mark.slice(26))];
  return business_id !== undefined && id !== undefined ? { business_id, id } : undefined;
}
