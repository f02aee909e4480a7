import type { CopyDocument } from '../../document/copyDocument';
import { piecesById } from '../values';
import { mapPieces } from './mapPieces';

/** Lets a place say again what the records say, or be missing again. */
export function putBack(document: CopyDocument, id: string, filled: CopyDocument): CopyDocument {
  const now = piecesById(filled).get(id);
  return now ? mapPieces(document, (piece) => (piece.id === id ? now : undefined)) : document;
}
