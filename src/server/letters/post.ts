import { lettersOf, lettersOfKinds, type KeptLetter } from '../../data/repositories/letters';
import { unlessNoPlace } from '../../data/repositories/lists/listPages';
import { isNarrowed, type LetterNarrowing } from '../../core/contract/letterNarrowing';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { placeInList, readPlace } from '../lists/placeInList';

/** So many letters come at once. */
const PAGE = 100;

/** So many that need somebody, and so many that wait for their hour, stand before them. */
const MOST_FIRST = 100;

export interface PostPage {
  letters: KeptLetter[];
  /** asks for what follows; absent at the end */
  next?: string;
}

/**
 * Letters that are narrowed by something, newest first, piece by piece; of all of them first what needs somebody, however old; what came in and waits to be answered; what waits for its hour, the soonest first; then what is going,
 * gone, come back and come in, newest first, piece by piece.
 * @throws NoSuchPlace
 */
export const post = forMember(
  async ({ business_id }, after?: string, narrowing: LetterNarrowing = {}): Promise<PostPage> => {
    const place = readPlace(after);
    const database = connection();
    const before =
      place || isNarrowed(narrowing)
        ? []
        : (
            await lettersOfKinds(
              database,
              business_id,
              ['needs somebody', 'waits, known', 'waits, unknown', 'for later'],
              MOST_FIRST,
            )
          ).flat();
    const newest = await unlessNoPlace(
      lettersOf(
        database,
        business_id,
        { narrowing, now: new Date(now()), ...(place ? { after: place.at } : {}) },
        PAGE + 1,
      ),
    );
    const first = new Set(before.map(({ id }) => id));
    const shown = newest.slice(0, PAGE);
    const last = newest.length > PAGE ? shown.at(-1) : undefined;
    return {
      letters: [...before, ...shown.filter(({ id }) => !first.has(id))],
      ...(last ? { next: placeInList({ segment: 0, at: last.place }) } : {}),
    };
  },
);
