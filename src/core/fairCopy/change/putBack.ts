import type { CopyDocument } from '../../document/copyDocument';
import { stretchesById } from '../values';
import { mapStretches } from './mapStretches';

/** Lets a place say again what the records say, or be missing again. */
export function putBack(document: CopyDocument, id: string, filled: CopyDocument): CopyDocument {
  const now = stretchesById(filled).get(id);
  return now ? mapStretches(document, (stretch) => (stretch.id === id ? now : undefined)) : document;
}
