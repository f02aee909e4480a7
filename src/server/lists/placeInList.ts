import { array, number, object, string } from 'yup';
import { NoSuchPlace, type ListPlace } from '../../data/repositories/lists/listPages';

export { NoSuchPlace };

const PLACE = object({
  segment: number().integer().min(0).max(9).required(),
  at: array(string().max(1000).defined()).length(2).required(),
});

/** A place in a list as a page is given it and gives it back. */
export function placeInList(place: ListPlace): string {
  return Buffer.from(JSON.stringify(place)).toString('base64url');
}

/** Reads it again. @throws NoSuchPlace where it is none of ours */
export function readPlace(text: string | undefined): ListPlace | undefined {
  if (text === undefined) return undefined;
  try {
    const place: unknown = JSON.parse(Buffer.from(text, 'base64url').toString());
    return PLACE.validateSync(place, { strict: true }) as ListPlace;
  } catch {
    throw new NoSuchPlace();
  }
}
