import { array, object, string } from 'yup';
import type { SaidOtherwise } from '../fill/compile/saidOtherwise';
import { printTag } from '../template/tags/printTag';
import { readTag } from '../template/tags/readTag';

/** A letter has at most so many fields that say something else. */
const MOST = 500;

const ONE = object({
  of: string().required().max(300),
  path: string().required().max(300),
  steps: array(object()).required().max(10),
}).noUnknown();

/**
 * Reads what fields of a letter are to say, as it came from outside: each as it would be read from text.
 * @throws Error where it is none
 */
export function readSaidOtherwise(json: unknown): Record<string, SaidOtherwise> {
  const entries = Object.entries(json as object);
  if (entries.length > MOST) throw new Error('More than a letter has.');
  return Object.fromEntries(entries.map(([part, one]) => [part, readOne(one)]));
}

function readOne(json: unknown): SaidOtherwise {
  const { of, path, steps } = ONE.validateSync(json, { strict: true });
  const tag = readTag(printTag({ type: 'field', attrs: { path, steps: steps as never } }).slice(2, -2));
  if (tag.type !== 'field') throw new Error('No field.');
  return { of, path: tag.attrs.path, steps: tag.attrs.steps };
}
