import type { HolesOver } from '../holes/holesOver';
import type { KeptTemplate } from '../template/template';
import type { WordsFacts } from './templateWords';

/** What the worker that looks for holes is asked: the one that was asked last is answered. */
export interface LookForHoles {
  template: KeptTemplate;
  facts: WordsFacts;
  /** whether the records are fetched however many clients there are */
  all: boolean;
}

/** What the worker says: how far it is, and what it found once it has looked through all. */
export type HolesFound =
  /** more clients than are looked through unasked */
  | { type: 'many'; of: number }
  | { type: 'looking'; looked: number; of: number }
  /** took: milliseconds of looking, once the records were there */
  | ({ type: 'found'; looked: number; of: number; took: number } & HolesOver)
  | { type: 'failed'; why: string };
