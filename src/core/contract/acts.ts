import type { Act } from '../template/acts';

/** An act of the work with its own messages, the first of them first. */
export interface ActTemplates {
  act: Act;
  templates: { key: string; name: string; first: boolean; resting: boolean }[];
}
