import type { CopyPart, CopyWord } from '../../document/copyDocument';
import { holdsWords, partsOf } from '../../document/eachNode';
import { joined } from '../../document/marks';
import { stretchesOf, type Stretch } from '../values';

/** A document with each stretch of its lines replaced by what `change` gives; undefined leaves it as it is. */
export function mapStretches<T extends CopyPart>(
  part: T,
  change: (stretch: Stretch) => CopyWord[] | undefined,
): T {
  const before: CopyPart = part;
  const content: readonly unknown[] = holdsWords(before)
    ? joined(stretchesOf(before.content).flatMap((stretch) => change(stretch) ?? stretch.nodes))
    : partsOf(before).map((child) => mapStretches(child, change));
  const same = content.length === (before.content?.length ?? 0);
  return same && content.every((child, i) => child === before.content![i]) ? part : { ...part, content };
}
