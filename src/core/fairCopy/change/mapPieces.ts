import type { CopyPart, CopyWord } from '../../document/copyDocument';
import { holdsWords, partsOf } from '../../document/eachNode';
import { joined } from '../../document/marks';
import { piecesOf, type Piece } from '../values';

/** A document with each piece of its lines replaced by what `change` gives; undefined leaves it as it is. */
export function mapPieces<T extends CopyPart>(part: T, change: (piece: Piece) => CopyWord[] | undefined): T {
  const before: CopyPart = part;
  const content: readonly unknown[] = holdsWords(before)
    ? joined(piecesOf(before.content).flatMap((piece) => change(piece) ?? piece.nodes))
    : partsOf(before).map((child) => mapPieces(child, change));
  const same = content.length === (before.content?.length ?? 0);
  return same && content.every((child, i) => child === before.content![i]) ? part : { ...part, content };
}
