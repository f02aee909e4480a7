import { holdsWords, joined, type CopyNode } from '../copyDocument';
import { piecesOf, type Piece } from '../values';

/** A document with each piece of its lines replaced by what `change` gives; undefined leaves it as it is. */
export function mapPieces<T extends CopyNode>(node: T, change: (piece: Piece) => CopyNode[] | undefined): T {
  if (!node.content) return node;
  const content = holdsWords(node)
    ? joined(piecesOf(node.content).flatMap((piece) => change(piece) ?? piece.nodes))
    : node.content.map((child) => mapPieces(child, change));
  return content.every((child, i) => child === node.content![i]) && content.length === node.content.length
    ? node
    : { ...node, content };
}
