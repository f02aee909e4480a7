import type { Gap, Unfinished } from '../../document/templateDocument';
import { nextPart, placeOf, type Scope } from '../paths/scope';
import { placeId, type Emit } from '../run';

/** A gap or an unfinished part: its words stand there, and it is a hole. */
export function compileOpen(node: Gap | Unfinished, scope: Scope): Emit {
  const place = placeOf(scope, node);
  const { words } = node.attrs;
  const reason =
    node.type === 'gap'
      ? `A field is still to be put here: ${words}.`
      : `“${words}” is made up and still to be replaced.`;
  const kind = node.type;
  const part = nextPart(scope);
  return (run) => {
    const id = placeId(part, run);
    run.holes.push({ id, kind, path: words, label: words, ...place, reason });
    run.words.hole(id, kind, words);
  };
}
